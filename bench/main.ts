import { benchContrast, benchEdit, benchWhole } from './contrast';
import { benchImport } from './import';
import { benchSurvey } from './survey';

benchSurvey();
benchContrast();
benchWhole();
benchEdit();
await benchImport();
