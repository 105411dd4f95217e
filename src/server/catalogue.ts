import catalogue from '../../data/screens.json';
import { readCatalogue } from '@/core/screens/catalogue';
import type { Screen } from '@/core/screens/screen';
import type { Project } from '@/core/project/project';

const screens = readCatalogue(catalogue);

/** Every screen that a project is looked at on: the catalogue, then the project's own. */
export const screensOf = (project: Project): Screen[] => [...screens, ...project.screens];
