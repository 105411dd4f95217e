import { benchSurvey } from './survey';

benchSurvey();
