import { benchContrast, benchEdit, benchWhole } from './contrast';
import { benchImport } from './import';
import { benchMap } from './map';
import { benchSurvey } from './survey';

benchSurvey();
benchContrast();
benchWhole();
benchEdit();
benchMap();
await benchImport();
