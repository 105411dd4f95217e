import type { Project } from '@/core/project/project';
import { screenTargets, type ScreenTarget } from '@/formats/sheet/targets';
import { screensOf } from '../catalogue';
import { notFound } from '../problem';

/** A set of screens that something can be built for. @throws Problem 404 */
export function targetOf(project: Project, id: string): ScreenTarget {
  const found = screenTargets(project, screensOf(project)).find((t) => t.id === id);
  if (!found) throw notFound('This set of screens');
  return found;
}
