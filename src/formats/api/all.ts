import * as door from './door';
import * as app from './app';
import * as cases from './cases';
import * as files from './files';
import * as jobs from './jobs';
import type { Operation } from './operation';
import * as projects from './projects';
import * as realScreens from './real-screens';
import * as signOffs from './sign-offs';
import * as screenshots from './screenshots';
import * as shared from './shared';

/** Everything that a server can be asked for. */
export const OPERATIONS: readonly Operation[] = [
  projects,
  files,
  cases,
  app,
  jobs,
  signOffs,
  screenshots,
  realScreens,
  shared,
  door,
].flatMap((group) => Object.values(group));
