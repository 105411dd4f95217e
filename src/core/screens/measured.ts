import { z } from 'zod';
import type { PerSide, Size } from '../geometry/rect';
import type { Appearance } from '../values/values';
import { sayLength, saySize } from '../words/numbers';
import { caseId, type Case } from './cases';
import { DENSITIES, impossibleBecause, SIDES_LU } from './check';
import { screenOf, turnedInsets } from './own';
import { Insets, Rotation, type Screen } from './screen';
import { heldSize, isSideways, orientationOf } from './turn';

const side = z.number().min(1).max(SIDES_LU.high);
const px = z
  .int()
  .positive()
  .max(SIDES_LU.high * DENSITIES.high);

/** What a page on a real screen reads off it, held in one rotation. Lengths in lu unless a name ends in Px. */
export const Reading = z.object({
  rotation: Rotation.describe('how far it is turned from its natural position'),
  screen: z.object({ width: side, height: side }).describe('of the whole glass, as it is held'),
  window: z.object({ width: side, height: side }).describe('what the page has of it'),
  windowPx: z.object({ width: px, height: px }),
  density: z.number().min(DENSITIES.low).max(DENSITIES.high).describe('px per lu'),
  insets: Insets.describe('of the safe area, from the sides of the window'),
});
export type Reading = z.infer<typeof Reading>;

/** Sides that are said in whole lu may be off by this. */
const ROUNDING = 1;
/** Of a screen that is added by somebody who says nothing of how many have it. */
const WEIGHT = 1;

/** Whether the page had all of the glass, so that its insets are those of the screen. */
export const isWhole = ({ screen, window }: Pick<Reading, 'screen' | 'window'>): boolean =>
  Math.abs(screen.width - window.width) <= ROUNDING && Math.abs(screen.height - window.height) <= ROUNDING;

/** “portrait”, “landscape, the other way”: how a screen was held when it was read. */
export const sayHeld = ({ screen, rotation }: Reading): string =>
  `${screen.height >= screen.width ? 'portrait' : 'landscape'}${rotation >= 180 ? ', the other way' : ''}`;

/** Of the whole glass, px, in the natural position: to the px where the page had all of it. */
function glassPx(reading: Reading): Size {
  const { screen, density, windowPx, rotation } = reading;
  const held = isWhole(reading)
    ? windowPx
    : { width: Math.round(screen.width * density), height: Math.round(screen.height * density) };
  return heldSize(held, rotation);
}

function byRotation(readings: readonly Reading[]): Map<Rotation, Reading> {
  const found = new Map<Rotation, Reading>();
  for (const reading of readings) {
    const before = found.get(reading.rotation);
    if (!before || isWhole(reading) || !isWhole(before)) found.set(reading.rotation, reading);
  }
  return found;
}

/** What was read last in each position, natural first; what was read there of the whole glass before anything else. */
export const bestReadings = (readings: readonly Reading[]): Reading[] =>
  [...byRotation(readings).values()].toSorted((a, b) => a.rotation - b.rotation);

const mirrored = ({ top, right, bottom, left }: PerSide): PerSide => ({
  top,
  bottom,
  left: right,
  right: left,
});

/** The insets of each rotation: what was read, else what the others lead to. */
function insetsOf(read: ReadonlyMap<Rotation, Reading>): Screen['insets'] {
  const of = (rotation: Rotation) => read.get(rotation)?.insets;
  const [at0, at90, at180, at270] = [of(0), of(90), of(180), of(270)];
  // What was turned one way is natural again once it is turned the other.
  const natural = at0 ?? at180 ?? (at90 ? turnedInsets(at90, 270) : turnedInsets(at270!, 90));
  return {
    0: natural,
    90: at90 ?? (at270 ? mirrored(at270) : turnedInsets(natural, 90)),
    ...(at180 && { 180: at180 }),
    270: at270 ?? (at90 ? mirrored(at90) : turnedInsets(natural, 270)),
  };
}

/** How far something reaches in from the natural top that stays there when the screen is turned, lu: a cutout, if there is one. */
function cutoutDepth(read: ReadonlyMap<Rotation, Reading>): number {
  const upright = read.get(0);
  const [left, right] = [read.get(90)?.insets.left, read.get(270)?.insets.right];
  const turned = left ?? right;
  return upright && turned !== undefined ? Math.min(upright.insets.top, turned) : 0;
}

const hasBoth = (read: ReadonlyMap<Rotation, Reading>) =>
  new Set([...read.keys()].map(isSideways)).size === 2;
/** What no page can read: how round corners are, the shape of cutouts, which bar takes which inset. */
const NEVER_READ = ['cornerRadius', 'cutouts', 'systemBars'];

/**
 * A screen of what a page read off it, held in one position or in several. What cannot be read is as simple as it can be, and
 * called approximate: corners, cutouts and which bars there are; the insets too unless the page had all of the glass, upright and
 * turned. @param readings at least one
 */
export function measuredScreen(
  readings: readonly Reading[],
  { id, label }: Pick<Screen, 'id' | 'label'>,
): Screen {
  const read = byRotation(readings);
  const all = [...read.values()];
  const best = all.find(isWhole) ?? all[0]!;
  const { density } = best;
  const size = glassPx(best);
  const insets = insetsOf(read);
  const natural = { width: size.width / density, height: size.height / density };
  const isSure = hasBoth(read) && all.every(isWhole);
  const [upright, turned] = natural.height >= natural.width ? ([0, 90] as const) : ([90, 0] as const);
  const plain = screenOf({
    id,
    label,
    px: size,
    density,
    insets: insets[0],
    weight: WEIGHT,
    origin: 'measured',
  });
  return {
    ...plain,
    insets,
    bars: {
      status: { portrait: insets[upright].top, landscape: insets[turned].top },
      gesture: insets[upright].bottom > 0 ? insets[upright].bottom : null,
      buttons: null,
    },
    confidence: isSure ? 'medium' : 'low',
    approximate: [...NEVER_READ, ...(isSure ? [] : ['insets'])],
  };
}

/**
 * What the page on a real screen has to draw on now, as a case: the screen, or what its browser leaves of it.
 * @param readings all that was read of the screen @param now the latest of them
 */
export function measuredCase(readings: readonly Reading[], now: Reading, appearance: Appearance): Case {
  const id = 'real-screen';
  const whole = measuredScreen(readings, { id, label: 'Real screen' });
  const screen = isWhole(now)
    ? whole
    : measuredScreen([{ ...now, screen: now.window }], { id, label: 'Window on a real screen' });
  return { id: caseId(id, now.rotation, appearance), screen, rotation: now.rotation, appearance };
}

/** Why no screen can be made of readings; `null` where one can. */
export const unusable = (readings: readonly Reading[]): string | null =>
  impossibleBecause(measuredScreen(readings, { id: 'real-screen', label: 'Real screen' }));

/** What has not been read yet, or cannot be, and what can be done about it. */
export function sayUnread(readings: readonly Reading[]): string[] {
  const read = byRotation(readings);
  const part = [...read.values()].find((r) => !isWhole(r));
  const screen = measuredScreen(readings, { id: 'real-screen', label: '' });
  const depth = cutoutDepth(read);
  const held = orientationOf(screen, [...read.keys()][0]!).startsWith('portrait');
  return [
    ...(part
      ? [
          `The browser leaves ${saySize(part.window)} of ${saySize(part.screen)} lu to the page; fill the screen, and the insets are those of the glass.`,
        ]
      : []),
    ...(hasBoth(read)
      ? []
      : [`Turn it, so that its insets are read ${held ? 'in landscape' : 'in portrait'} too.`]),
    ...(depth > 0
      ? [
          `Something reaches ${sayLength(depth)} in from its natural top, turned or not: most likely a cutout. Its shape cannot be read.`,
        ]
      : []),
  ];
}
