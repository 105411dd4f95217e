import type { Scene } from '../scene/scene';
import type { Launch, Stage } from '../project/launch';
import { withSystemFirst } from './described';

const ORDER: readonly Scene['role'][] = ['first-window', 'splash', 'screen'];

/** A stage of the app that shows a scene at once. */
export const newStage = (id: string, scene: string): Stage => ({
  id,
  scene,
  system: 'app',
  enter: 'none',
  durationMs: 300,
  easing: 'ease-in-out',
  holdMs: 0,
});

/** A launch to begin with: the scenes in the order in which they come, each once. */
export function newLaunch(scenes: readonly Scene[], newId: () => string): Launch {
  const staged = ORDER.flatMap((role) => scenes.filter((s) => s.role === role).slice(0, 1));
  const list = staged.length > 0 ? staged : scenes.slice(0, 1);
  const stages = list.map((scene) => ({
    ...newStage(newId(), scene.id),
    ...(scene.role === 'first-window' && { system: 'flat' as const }),
  }));
  // The system draws the first one, whatever it shows.
  return {
    id: newId(),
    name: 'Launch',
    targets: [],
    stages: withSystemFirst(stages),
    systemMs: 400,
    loadingMs: 1000,
    warm: { systemMs: 100, loadingMs: 0 },
  };
}
