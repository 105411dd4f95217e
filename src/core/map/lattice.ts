import type { JudgedWindow, JudgeWindow } from './windows';
import type { MapRange } from './range';

/** One step of the coarse lattice, as a difference of logarithms: 48 of them are a factor of 16. */
const COARSE = Math.log(16) / 48;

/**
 * Windows on a lattice that is even in the logarithms of width and height, with the same step both ways, so that its diagonals
 * are lines of one ratio. Squares are halved where their corners differ.
 */
export interface Lattice {
  /** squares of the coarse lattice */
  columns: number;
  rows: number;
  /** the window at a corner; in halves of a step where squares were halved once, and so on */
  at: (column: number, row: number) => JudgedWindow;
}

/** A square of a lattice by the corner of the least width and height, in steps of the coarse lattice. */
export interface Square {
  column: number;
  row: number;
  /** length of a side: 1 of the coarse lattice, then its halves */
  side: number;
}

/** @param density px per lu */
export function latticeOf({ width, height }: MapRange, density: number, judge: JudgeWindow): Lattice {
  const steps = (low: number, high: number) => Math.max(1, Math.round(Math.log(high / low) / COARSE));
  const px = (low: number, step: number) => Math.max(1, Math.round(low * Math.exp(step * COARSE) * density));
  return {
    columns: steps(width.low, width.high),
    rows: steps(height.low, height.high),
    at: (column, row) => judge(px(width.low, column), px(height.low, row)),
  };
}

/** How far one square of a lattice reaches, as a factor of width or height. */
export const stepOf = (side: number): number => Math.exp(COARSE * side);

/** All squares of a lattice of one size. @param side 1, ½, ¼ … */
export function* squaresOf({ columns, rows }: Lattice, side: number): Generator<Square[]> {
  for (let row = 0; row < rows; row += side) {
    const line: Square[] = [];
    for (let column = 0; column < columns; column += side) line.push({ column, row, side });
    yield line;
  }
}

export const cornersOf = (
  { at }: Lattice,
  { column: c, row: r, side }: Square,
): [JudgedWindow, JudgedWindow, JudgedWindow, JudgedWindow] => [
  at(c, r),
  at(c + side, r),
  at(c + side, r + side),
  at(c, r + side),
];

/** Whether the corners of a square end differently. */
export function isMixed(lattice: Lattice, square: Square): boolean {
  const [first, ...others] = cornersOf(lattice, square);
  return others.some((c) => c.outcome !== first.outcome);
}

export function quartersOf({ column, row, side }: Square): Square[] {
  const half = side / 2;
  return [0, half].flatMap((dr) =>
    [0, half].map((dc) => ({ column: column + dc, row: row + dr, side: half })),
  );
}

const keyOf = ({ column, row }: Square) => `${column} ${row}`;

/**
 * The squares that have to be halved: the mixed ones, and from there those on whose sides, halved, something else is found: a
 * boundary leaves a square where none of the neighbour’s corners shows it.
 * @param all of one size
 */
export function* tornSquares(lattice: Lattice, all: readonly Square[]): Generator<void, Square[]> {
  const byKey = new Map(all.map((s) => [keyOf(s), s]));
  const torn = new Map<string, Square>();
  const open = all.filter((s) => isMixed(lattice, s));
  let looked = 0;
  for (let square = open.pop(); square; square = open.pop()) {
    if (torn.has(keyOf(square))) continue;
    torn.set(keyOf(square), square);
    const { column: c, row: r, side } = square;
    const [a, b, d, e] = cornersOf(lattice, square);
    const sides = [
      { at: lattice.at(c + side / 2, r), ends: [a, b], next: { column: c, row: r - side, side } },
      { at: lattice.at(c + side, r + side / 2), ends: [b, d], next: { column: c + side, row: r, side } },
      { at: lattice.at(c + side / 2, r + side), ends: [d, e], next: { column: c, row: r + side, side } },
      { at: lattice.at(c, r + side / 2), ends: [e, a], next: { column: c - side, row: r, side } },
    ];
    for (const { at, ends, next } of sides) {
      const neighbour = byKey.get(keyOf(next));
      if (neighbour && ends.some((end) => end.outcome !== at.outcome)) open.push(neighbour);
    }
    if (++looked % 50 === 0) yield;
  }
  return [...torn.values()];
}
