import { z } from 'zod';
import { Id } from '../values/values';
import { KINDS, Screen } from '../screens/screen';
import { easingOf } from './easing';
import { LaunchAcceptance, LaunchLimits } from './launch-limits';
import { documentObject } from '../values/object';

/** What draws a stage: a window of the system of one of three kinds, or the app itself. */
export const SYSTEMS = ['flat', 'icon', 'layout', 'app'] as const;
export const System = z.enum(SYSTEMS);
export type System = z.infer<typeof System>;

const ms = z.number().min(0).max(600_000);
/** Share of an icon's box that is left free along each side. */
const Padding = z.number().min(0).max(0.45);

export const Stage = documentObject({
  id: Id,
  scene: Id,
  system: System,
  /** only the app can fade */
  enter: z.enum(['none', 'fade']),
  durationMs: ms,
  easing: z
    .string()
    .max(200)
    .refine((text) => easingOf(text) !== null, 'This is no CSS easing function.'),
  /** after the fade */
  holdMs: ms,
  /** of the icon, in a window that masks it */
  padding: Padding.optional(),
  /** lasts until everything is loaded; where no stage says so, the one before the last does */
  waits: z.boolean().optional(),
});
export type Stage = z.infer<typeof Stage>;

/**
 * Screens whose system shows a first window of a given kind: those of the families and kinds, and those by id; where it
 * names versions of the system, on these alone.
 */
export const Target = documentObject({
  id: Id,
  name: z.string().min(1).max(120),
  /** both hold where both are given; none of either takes in nothing */
  families: z.array(Screen.shape.family),
  kinds: z.array(z.enum(KINDS)),
  ids: z.array(Id).max(500),
  /** of the system, in words of one's own, such as “from 12 on” */
  versions: z.string().trim().min(1).max(80).optional(),
  system: z.enum(['flat', 'icon', 'layout']),
  /** its own scene for the first window; that of the first stage when absent */
  scene: Id.optional(),
  /** of the icon */
  padding: Padding.optional(),
  /** its system shows nothing until the app draws */
  off: z.boolean().optional(),
});
export type Target = z.infer<typeof Target>;

/** From the tap to the first screen. Times count from the tap. */
export const Launch = documentObject({
  id: Id,
  name: z.string().min(1).max(120),
  targets: z.array(Target).max(20),
  stages: z.array(Stage).min(1).max(8),
  /** how long the first stage lasts */
  systemMs: ms,
  /** from the tap until the app has what it needs */
  loadingMs: ms,
  /** the same when the app still was in memory */
  warm: z.strictObject({ systemMs: ms, loadingMs: ms }),
  limits: LaunchLimits.optional(),
  accepted: z.array(LaunchAcceptance).max(500).optional(),
});
export type Launch = z.infer<typeof Launch>;

/** Which stage lasts until everything is loaded: the one that says so, else the one before the last. */
export function waitingStage(stages: readonly Pick<Stage, 'waits'>[]): number {
  const said = stages.findIndex((s, i) => s.waits && i < stages.length - 1);
  return said < 0 ? stages.length - 2 : said;
}

/** The scenes that a launch shows, each once. */
export const scenesShown = ({ stages, targets }: Launch): string[] => [
  ...new Set([...stages.map((s) => s.scene), ...targets.flatMap((t) => t.scene ?? [])]),
];

export const isIn = ({ families, kinds, ids }: Target, screen: Screen): boolean => {
  if (ids.includes(screen.id)) return true;
  if (families.length + kinds.length === 0) return false;
  return (
    (families.length === 0 || families.includes(screen.family)) &&
    (kinds.length === 0 || (kinds as readonly string[]).includes(screen.kind))
  );
};

/** What a target is called, with the versions that it is for. */
export const targetName = ({ name, versions }: Target): string => (versions ? `${name}, ${versions}` : name);

/** Versions are the same whatever their capitals. */
const versionsOf = ({ versions = '' }: Pick<Target, 'versions'>) => versions.toLowerCase();

/** The versions that the targets of a launch name, each once, as they are first written. */
export const versionsIn = ({ targets }: Launch): string[] =>
  targets.flatMap((t, i) =>
    t.versions && targets.findIndex((o) => versionsOf(o) === versionsOf(t)) === i ? [t.versions] : [],
  );

/**
 * The targets that a screen may belong to: first that of all versions of its system, then those of the versions that are
 * named; the first of each where several claim it. `null` stands for the first stage as it is described: where no target
 * claims the screen, and where one alone does that names versions, for all others of them.
 */
export function targetsOf(launch: Launch, screen: Screen): (Target | null)[] {
  const claiming = launch.targets.filter((t) => isIn(t, screen));
  const each = claiming.filter((t, i) => claiming.findIndex((o) => versionsOf(o) === versionsOf(t)) === i);
  const usual = each.find((t) => !t.versions);
  const others = each.filter((t) => t !== usual);
  return usual || others.length > 1 ? [...(usual ? [usual] : []), ...others] : [null, ...others];
}

/** The target that a screen belongs to when its system has given versions; that of any version where none names them. */
export function targetOf(launch: Launch, screen: Screen, versions = ''): Target | null {
  const all = targetsOf(launch, screen);
  return all.find((t) => versionsOf(t ?? {}) === versions.toLowerCase()) ?? all[0]!;
}

/** Screens that several targets claim for the same versions, which is an error, and those that none does. */
export function coverageOf(launch: Launch, screens: readonly Screen[]) {
  const claimed = screens.map((screen) => ({
    screen,
    targets: launch.targets.filter((t) => isIn(t, screen)),
  }));
  const isTwice = (targets: readonly Target[]) => new Set(targets.map(versionsOf)).size < targets.length;
  return {
    claimedTwice: claimed.filter((c) => isTwice(c.targets)),
    unclaimed: claimed.filter((c) => c.targets.length === 0).map((c) => c.screen),
  };
}

/** A stage as a screen has it; the first one may be the system's own, or show nothing. */
export interface ScreenStage extends Stage {
  padding: number;
  /** nothing is drawn: what was there before the tap stays */
  empty: boolean;
}

/** The stages as they come on one screen. @param target of the screen, whose first window is shown */
export function stagesOn(
  launch: Launch,
  screen: Screen,
  target: Target | null = targetOf(launch, screen),
): ScreenStage[] {
  return launch.stages.map((stage, i) => {
    const own = stage.padding ?? 0;
    if (i > 0 || !target || stage.system === 'app') return { ...stage, padding: own, empty: false };
    const { scene = stage.scene, system, padding = own, off = false } = target;
    return { ...stage, scene, system, padding, empty: off };
  });
}
