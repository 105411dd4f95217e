import fc from 'fast-check';
import { Launch, SYSTEMS, type Stage, type Target } from '../project/launch';

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

/** Times that three significant figures say wholly. */
const ms = fc.integer({ min: 0, max: 99 }).map((n) => n * 100);

const anyStage: fc.Arbitrary<Stage> = fc
  .record({
    system: fc.constantFrom(...SYSTEMS),
    enter: fc.constantFrom('none' as const, 'fade' as const),
    durationMs: ms,
    easing: fc.constantFrom('linear', 'ease-in-out', 'cubic-bezier(0.1, 0.9, 0.2, 1)'),
    holdMs: ms,
    waits: fc.constantFrom(true, undefined),
  })
  .map(({ waits, ...more }) => stage({ ...more, ...(waits && { waits }) }));

/** Any stages, with any of them said to wait, at any times. */
export const anyLaunch: fc.Arbitrary<Launch> = fc
  .record({
    stages: fc.array(anyStage, { minLength: 1, maxLength: 8 }),
    systemMs: ms,
    loadingMs: ms,
    warm: fc.record({ systemMs: ms, loadingMs: ms }),
  })
  .map(({ stages, ...more }) =>
    launchOf(
      stages.map((s, i) => ({ ...s, id: `${i}` })),
      more,
    ),
  );
