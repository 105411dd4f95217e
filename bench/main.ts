import { benchContrast } from './contrast';
import { benchImport } from './import';
import { benchSurvey } from './survey';

benchSurvey();
benchContrast();
await benchImport();
