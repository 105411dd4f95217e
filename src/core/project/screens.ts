import type { Screen } from '../screens/screen';
import type { Project } from './project';

/** Every screen that a project is looked at on: the catalogue, then the project’s own. */
export const screensIn = (catalogue: readonly Screen[], { screens }: Pick<Project, 'screens'>): Screen[] => [
  ...catalogue,
  ...screens,
];
