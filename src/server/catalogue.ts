import json from '../../data/screens.json';
import type { Project } from '@/core/project/project';
import { screensIn } from '@/core/project/screens';
import { readCatalogue } from '@/core/screens/catalogue';
import type { Screen } from '@/core/screens/screen';

/** The screens that come with the product. */
export const catalogue = readCatalogue(json);

/** Every screen that a project is looked at on. */
export const screensOf = (project: Project): Screen[] => screensIn(catalogue, project);
