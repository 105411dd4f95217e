import type { SurveyInput } from '../survey/survey';
import {
  isMixed,
  latticeOf,
  quartersOf,
  squaresOf,
  stepOf,
  tornSquares,
  type Lattice,
  type Square,
} from './lattice';
import { crossing, cutSquare, inRuns, type Piece } from './pieces';
import type { MapRange } from './range';
import type { AllowedSizes } from './area';
import { breaksOf, type Break } from './breaks';
import { judgeWindows, type JudgeWindow, type MapAsked } from './windows';

/** What is known of the windows of all sizes. */
export interface SizeMap {
  range: MapRange;
  pieces: Piece[];
  /** where anything is wrong on what is allowed, failures first */
  breaks: Break[];
  /** windows this factor apart in width or height were all looked at: a narrower band may be missed */
  step: number;
  /** whether boundaries were searched to the px, or lie somewhere between two windows that were looked at */
  isExact: boolean;
}

export interface ToMap extends MapAsked {
  range: MapRange;
  /** windows of which it is said where something is wrong */
  allowed: AllowedSizes;
}

/** Sides of squares: all of the coarse map, all of the fine one, and those through which a boundary goes. */
const [COARSE, EVERYWHERE, ALONG] = [1, 1 / 2, 1 / 8];

/** The map by the corners of all coarse squares. */
function coarse(lattice: Lattice, { range, base, allowed }: ToMap, judge: JudgeWindow): SizeMap {
  const { density } = base;
  const squares = [...squaresOf(lattice, COARSE)].flat();
  const cross = crossing(density, null);
  return {
    range,
    pieces: [
      ...inRuns(lattice, squares, density),
      ...squares.filter((s) => isMixed(lattice, s)).flatMap((s) => cutSquare(lattice, s, density, cross)),
    ],
    breaks: breaksOf(lattice, { side: COARSE, density, judge, allowed }),
    step: stepOf(COARSE),
    isExact: false,
  };
}

/** The map at once, coarse: for what changes while somebody looks. */
export function coarseMap(input: SurveyInput, asked: ToMap): SizeMap {
  const judge = judgeWindows(input, asked);
  return coarse(latticeOf(asked.range, asked.base.density, judge), asked, judge);
}

/**
 * The map of all sizes, first coarse, then finer everywhere, then along boundaries, which are searched to the px at last.
 * @returns each map that is better than the one before, and `null` now and then between them
 */
export function* mappingSizes(input: SurveyInput, asked: ToMap): Generator<SizeMap | null, SizeMap> {
  const { density } = asked.base;
  const judge = judgeWindows(input, asked);
  const lattice = latticeOf(asked.range, density, judge);
  for (const line of squaresOf(lattice, COARSE)) {
    for (const { column, row } of line) lattice.at(column, row);
    yield null;
  }
  yield coarse(lattice, asked, judge);
  let squares: Square[] = [];
  for (const line of squaresOf(lattice, EVERYWHERE)) {
    for (const { column, row } of line) lattice.at(column, row);
    squares.push(...line);
    yield null;
  }
  const whole: Square[] = [];
  for (let side = EVERYWHERE; side > ALONG; side /= 2) {
    const torn = yield* naming(tornSquares(lattice, squares));
    const halved = new Set(torn);
    whole.push(...squares.filter((s) => !halved.has(s)));
    squares = torn.flatMap(quartersOf);
  }
  const cross = crossing(density, judge);
  const pieces = inRuns(lattice, [...whole, ...squares], density);
  for (const [i, square] of squares.entries()) {
    if (isMixed(lattice, square)) pieces.push(...cutSquare(lattice, square, density, cross));
    if (i % 50 === 0) yield null;
  }
  const { range, allowed } = asked;
  return {
    range,
    pieces,
    breaks: breaksOf(lattice, { side: EVERYWHERE, density, judge, allowed }),
    step: stepOf(EVERYWHERE),
    isExact: true,
  };
}

/** Passes on that there was a pause. */
function* naming<T>(steps: Generator<void, T>): Generator<null, T> {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    yield null;
  }
}
