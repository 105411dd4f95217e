import type { Documents } from '../src/core/project/documents';
import { narrowed } from '../demo/narrowed';

/** A project that is judged in a moment: one scene and a launch of the demo on the screens of one ratio. */
export const FEW_PROJECT = 'ferries-few';
export const FEW_SPLASH = `/projects/${FEW_PROJECT}/winter-splash`;

/** Under names that no other project has. */
const NAMES: Record<string, string> = { 'system-window': 'Small window', 'winter-splash': 'Small splash' };

/** That project. */
export function fewScreens(demo: Documents): Documents {
  const { project, scenes } = structuredClone(narrowed(demo));
  for (const scene of Object.values(scenes)) scene.name = NAMES[scene.id]!;
  return { project: { ...project, id: FEW_PROJECT, name: 'Ferries, few screens' }, scenes };
}
