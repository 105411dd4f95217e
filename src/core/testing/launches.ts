import { Launch, type Stage, type Target } from '../project/launch';

/** A stage that comes at once and is held for no time. */
export const stage = (more: Partial<Stage> = {}): Stage => ({
  id: 'a',
  scene: 's',
  system: 'app',
  enter: 'none',
  durationMs: 0,
  easing: 'linear',
  holdMs: 0,
  ...more,
});
/** A launch on every screen, with times that differ. */
export const launchOf = (stages: Stage[], more: Partial<Launch> = {}): Launch =>
  Launch.parse({
    id: 'l',
    name: 'Launch',
    targets: [],
    stages,
    systemMs: 400,
    loadingMs: 1400,
    warm: { systemMs: 100, loadingMs: 0 },
    ...more,
  });
/** A target that no screen belongs to. */
export const target = (more: Partial<Target>): Target => ({
  id: 't',
  name: 'Target',
  families: [],
  kinds: [],
  ids: [],
  system: 'icon',
  ...more,
});
