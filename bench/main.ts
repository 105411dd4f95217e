import { benchContrast, benchWhole } from './contrast';
import { benchImport } from './import';
import { benchSurvey } from './survey';

benchSurvey();
benchContrast();
benchWhole();
await benchImport();
