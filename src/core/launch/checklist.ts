import { isIn, targetName, type Launch, type Target } from '../project/launch';
import type { Project } from '../project/project';
import { evidenceOn, type DeviceCheck, type Evidence } from '../project/proof';
import type { Screen } from '../screens/screen';

/** What a look on a real device takes, so that it shows what was built and not what was kept from before. */
export interface Check {
  id: string;
  what: string;
  why: string;
}

export const CHECKLIST: readonly Check[] = [
  {
    id: 'clear-first-window',
    what: 'Remove the app, restart the device and install the app anew.',
    why: 'A picture of the first window is kept by the system, and an old one is shown for a long time.',
  },
  {
    id: 'light-and-dark',
    what: 'Start it in the light and in the dark appearance.',
    why: 'The first window follows the system, not a setting inside the app.',
  },
  {
    id: 'portrait-and-landscape',
    what: 'Start it while the device is held upright, and while it is turned.',
    why: 'The first window is drawn in the orientation of the moment; what is pinned to an edge may stop short.',
  },
  {
    id: 'slow-storage',
    what: 'Start it on the slowest device that is supported, with its storage almost full.',
    why: 'Loading takes longer there; the splash has to last as long without a gap.',
  },
  {
    id: 'cold-and-warm',
    what: 'Start it after it was ended, and again while it is still in memory.',
    why: 'A warm start shows the first window for a moment only: a fade may be cut off.',
  },
  {
    id: 'from-elsewhere',
    what: 'Open it from a link and from a notification.',
    why: 'The app may come up at another screen, after the same first window.',
  },
  {
    id: 'split-window',
    what: 'Open it in half of the screen.',
    why: 'A box of a fixed size may be larger than the window.',
  },
  {
    id: 'less-motion',
    what: 'Start it with motion reduced.',
    why: 'A fade has to give way, and nothing may wait for it.',
  },
];

/** What a look is for: the screens of one target of a launch, or every screen. */
export interface DeviceTarget {
  id: string;
  name: string;
  /** `null` for every screen */
  target: Target | null;
}

/** For whom each of the list is looked at: every target of the launches; every screen where none is described. */
export function deviceTargets(launches: readonly Launch[] = []): DeviceTarget[] {
  const targets = launches.flatMap((launch) =>
    launch.targets.map((target) => ({
      id: target.id,
      name: targetName(target),
      target,
    })),
  );
  return targets.length > 0 ? targets : [{ id: 'all', name: 'Every screen', target: null }];
}

/** The screenshots on the screens of a target. */
export function evidenceFor(
  evidence: readonly Evidence[],
  { target }: DeviceTarget,
  screens: readonly Screen[],
): Evidence[] {
  const ids = new Set(screens.filter((s) => !target || isIn(target, s)).map((s) => s.id));
  return evidenceOn(evidence, ids);
}

/** What was found of one of the list for a target; `undefined` where nobody has looked. */
export const checkedOf = (
  checked: readonly DeviceCheck[] = [],
  target: string,
  check: string,
): DeviceCheck | undefined => checked.find((c) => c.target === target && c.check === check);

/** How many of the list were found right for a target. */
export const countTicked = (checked: readonly DeviceCheck[] = [], target: string): number =>
  CHECKLIST.filter((c) => checkedOf(checked, target, c.id)?.done).length;

/** “5 of 16”: how many of the list were found right, for all targets together. */
export function sayTicked({ launches, checked }: Pick<Project, 'launches' | 'checked'>): string {
  const targets = deviceTargets(launches);
  const ticked = targets.reduce((sum, t) => sum + countTicked(checked, t.id), 0);
  return `${ticked} of ${targets.length * CHECKLIST.length}`;
}

/** Puts down what was found, in place of what was found before; nothing is kept of one that is neither ticked nor noted. */
export function withChecked(
  checked: readonly DeviceCheck[] = [],
  found: DeviceCheck,
): DeviceCheck[] | undefined {
  const others = checked.filter((c) => c.target !== found.target || c.check !== found.check);
  const all = found.done || found.note !== '' ? [...others, found] : others;
  return all.length > 0 ? all : undefined;
}
