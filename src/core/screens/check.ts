import type { PerSide, Side } from '../geometry/rect';
import { sayNumber, sayRatio } from '../words/numbers';
import { orientationOf, naturalSize, turnedSize } from './turn';
import { ORIENTATION_LABELS } from './words';
import type { Rotation, Screen } from './screen';

/** What is wrong, or unlikely, about the figures of a screen. */
export interface ScreenProblem {
  /** of the screen: what has to be changed */
  part: 'size' | 'density' | 'insets' | 'cutouts' | 'corner' | 'bars' | 'ppi';
  text: string;
  /** no screen is like this; otherwise it is only unusual */
  isImpossible: boolean;
}

/** px per lu that a screen may have, lu that it may be wide or high, and the most that it may be longer than wide. */
export const DENSITIES = { low: 0.5, high: 8 };
export const SIDES_LU = { low: 50, high: 10_000 };
export const MOST_RATIO = 10;

/** Beyond these a figure is looked at twice. */
const UNUSUAL = { ratio: 3, density: 5, inset: 0.25, ppi: { low: 60, high: 700 } };
/** A cutout may stand out by rounding. */
const ROUNDING = 0.51;

type Problem = Omit<ScreenProblem, 'part'>;
const impossible = (text: string): Problem => ({ text, isImpossible: true });
const unusual = (text: string): Problem => ({ text, isImpossible: false });

export function* sizeProblems({ width, height }: { width: number; height: number }): Generator<Problem> {
  const { low, high } = SIDES_LU;
  for (const [name, lu] of [
    ['Width', width],
    ['Height', height],
  ] as const)
    if (!(lu >= low && lu <= high))
      yield impossible(
        `${name} ${sayNumber(lu)} lu: a screen has ${low} to ${high.toLocaleString('en')} lu.`,
      );
  const ratio = Math.max(width, height) / Math.min(width, height);
  if (ratio > MOST_RATIO)
    yield impossible(`It is ${sayRatio(ratio)} times as long as wide; more than ${MOST_RATIO} is no screen.`);
  else if (ratio > UNUSUAL.ratio) yield unusual(`It is ${sayRatio(ratio)} times as long as wide.`);
}

export function* densityProblems(density: number): Generator<Problem> {
  const { low, high } = DENSITIES;
  if (!(density >= low && density <= high))
    yield impossible(`${sayNumber(density)} px per lu: a screen has ${low} to ${high}.`);
  else if (density > UNUSUAL.density) yield unusual(`${sayRatio(density)} px per lu is unusually dense.`);
}

const MEETING = [
  ['left', 'right', 'width'],
  ['top', 'bottom', 'height'],
] as const;

/** Insets that leave no room between them, or take much of a side; each said once, of the first rotation that has it. */
function* insetProblems(screen: Screen): Generator<Problem> {
  const said = new Set<string>();
  for (const rotation of [0, 90, 270] as const satisfies Rotation[]) {
    const size = turnedSize(screen, rotation);
    const insets: PerSide = screen.insets[rotation];
    const held = ORIENTATION_LABELS[orientationOf(screen, rotation)];
    for (const [a, b, side] of MEETING) {
      const key = `${a} ${insets[a]} ${insets[b]} ${size[side]}`;
      if (said.has(key)) continue;
      said.add(key);
      if (insets[a] + insets[b] >= size[side])
        yield impossible(
          `${held}: the insets at ${a} and ${b} meet, ${sayNumber(insets[a])} and ${sayNumber(insets[b])} of ${sayNumber(size[side])} lu.`,
        );
      else
        for (const one of [a, b] as const satisfies Side[])
          if (insets[one] > size[side] * UNUSUAL.inset)
            yield unusual(`${held}: the inset at ${one} takes more than a quarter of the ${side}.`);
    }
  }
}

function* cutoutProblems(screen: Screen): Generator<Problem> {
  const { width, height } = naturalSize(screen);
  for (const [i, c] of screen.cutouts.entries()) {
    const isOutside =
      c.x < -ROUNDING ||
      c.y < -ROUNDING ||
      c.x + c.width > width + ROUNDING ||
      c.y + c.height > height + ROUNDING;
    if (isOutside) yield impossible(`Cutout ${i + 1} does not lie on the screen.`);
  }
}

function* cornerProblems(screen: Screen): Generator<Problem> {
  const { width, height } = naturalSize(screen);
  if (screen.cornerRadius > Math.min(width, height) / 2)
    yield impossible('The corners are rounder than half of the shorter side.');
}

function* barProblems({ bars, ...screen }: Screen): Generator<Problem> {
  const { width, height } = naturalSize(screen as Screen);
  const short = Math.min(width, height);
  const all = [bars.status.portrait, bars.status.landscape, bars.gesture ?? 0, bars.buttons ?? 0];
  if (all.some((lu) => lu * 2 >= short)) yield impossible('A bar takes half of the shorter side or more.');
}

function* ppiProblems({ ppi }: Screen): Generator<Problem> {
  const { low, high } = UNUSUAL.ppi;
  if (ppi !== undefined && (ppi < low || ppi > high))
    yield unusual(`${sayNumber(ppi)} px per inch is unusual.`);
}

/** What cannot be, and what is unusual, of the figures of a screen: in the order in which they are entered. */
export function checkScreen(screen: Screen): ScreenProblem[] {
  const of = (part: ScreenProblem['part'], found: Iterable<Problem>) =>
    [...found].map((problem) => ({ part, ...problem }));
  return [
    ...of('density', densityProblems(screen.density)),
    ...of('size', sizeProblems(naturalSize(screen))),
    ...of('insets', insetProblems(screen)),
    ...of('cutouts', cutoutProblems(screen)),
    ...of('corner', cornerProblems(screen)),
    ...of('bars', barProblems(screen)),
    ...of('ppi', ppiProblems(screen)),
  ];
}

/** Why a screen cannot be; `null` where it can. */
export const impossibleBecause = (screen: Screen): string | null =>
  checkScreen(screen).find((p) => p.isImpossible)?.text ?? null;
