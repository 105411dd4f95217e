import type { Appearance } from '../values/values';
import { Rotation, type Screen } from './screen';
import { orientationOf } from './turn';

/** One screen in one orientation and one appearance. */
export interface Case {
  id: string;
  screen: Screen;
  rotation: Rotation;
  appearance: Appearance;
}

/** Rotations looked at unless one asks for more: every one but upside-down portrait, unless the screen says so; only 0 where the screen does not turn. */
export function defaultRotations(screen: Screen): Rotation[] {
  if (!screen.rotates) return [0];
  return ([0, 90, 180, 270] as const).filter(
    (r) => screen.turnsOver || orientationOf(screen, r) !== 'portrait-secondary',
  );
}

export const caseId = (screenId: string, rotation: Rotation, appearance: Appearance) =>
  `${screenId}.${rotation}.${appearance}`;

export function casesOf(screens: readonly Screen[], appearances: readonly Appearance[]): Case[] {
  return screens.flatMap((screen) =>
    defaultRotations(screen).flatMap((rotation) =>
      appearances.map((appearance) => ({
        id: caseId(screen.id, rotation, appearance),
        screen,
        rotation,
        appearance,
      })),
    ),
  );
}

/** Lists of screens are never changed in place, so that each is gone through once. */
const indexes = new WeakMap<readonly Screen[], ReadonlyMap<string, Screen>>();

function byId(screens: readonly Screen[]): ReadonlyMap<string, Screen> {
  const index = indexes.get(screens) ?? new Map(screens.map((s) => [s.id, s]));
  indexes.set(screens, index);
  return index;
}

/** The case that an id names, or `null` when the screen is not in the list or the rest is not an id. */
export function findCase(id: string, screens: readonly Screen[]): Case | null {
  const match = /^(.+)\.(\d+)\.(light|dark)$/.exec(id);
  const screen = byId(screens).get(match?.[1] ?? '');
  const rotation = Rotation.safeParse(Number(match?.[2]));
  if (!match || !screen || !rotation.success) return null;
  return { id, screen, rotation: rotation.data, appearance: match[3] as Appearance };
}
