import { benchImport } from './import';
import { benchSurvey } from './survey';

benchSurvey();
await benchImport();
