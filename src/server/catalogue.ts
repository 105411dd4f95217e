import json from '../../data/screens.json';
import type { Project } from '@/core/project/project';
import { knownScreens as knownIn, screensIn } from '@/core/project/screens';
import { readCatalogue } from '@/core/screens/catalogue';
import type { Screen } from '@/core/screens/screen';

/** The screens that come with the product. */
export const catalogue = readCatalogue(json);

/** Every screen that a project knows, whether it is looked at on it or not. */
export const knownScreens = (project: Project): Screen[] => knownIn(catalogue, project);

/** The screens that a project is looked at on: of the set in use. */
export const screensOf = (project: Project): Screen[] => screensIn(catalogue, project);
