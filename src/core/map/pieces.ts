import type { Outcome } from '../measure/judge';
import { grouped } from '../solve/alike';
import { cornersOf, isMixed, type Lattice, type Square } from './lattice';
import { changeBetween, type JudgedWindow, type JudgeWindow } from './windows';

/** A part of the map on which windows end alike. */
export interface Piece {
  outcome: Outcome;
  /** corners around it: width and height by turns, lu; always convex where width and height are logarithmic */
  points: number[];
}

interface Point {
  width: number;
  height: number;
}

/** Between two windows that end differently: where the outcome changes. */
type Cross = (a: JudgedWindow, b: JudgedWindow) => Point;

/** In the middle between both, unless it is searched. */
export function crossing(density: number, judge: JudgeWindow | null): Cross {
  const known = new Map<string, Point>();
  const lu = (px: number) => px / density;
  const between = (a: number, b: number) => Math.sqrt(a * b);
  return (a, b) => {
    if (!judge)
      return { width: lu(between(a.widthPx, b.widthPx)), height: lu(between(a.heightPx, b.heightPx)) };
    const key = `${a.widthPx} ${a.heightPx} ${b.widthPx} ${b.heightPx}`;
    const before = known.get(key);
    if (before) return before;
    const [low, high] = changeBetween(a, b, judge, (w) => w.outcome);
    const point = {
      width: lu((low.widthPx + high.widthPx) / 2),
      height: lu((low.heightPx + high.heightPx) / 2),
    };
    known.set(key, point);
    return point;
  };
}

const centreOf = (points: readonly Point[]): Point => ({
  width: Math.exp(points.reduce((sum, p) => sum + Math.log(p.width), 0) / points.length),
  height: Math.exp(points.reduce((sum, p) => sum + Math.log(p.height), 0) / points.length),
});

/** A triangle of windows, cut where their outcomes change. */
function cutTriangle(corners: readonly JudgedWindow[], density: number, cross: Cross): Piece[] {
  const pointOf = (w: JudgedWindow): Point => ({ width: w.widthPx / density, height: w.heightPx / density });
  const piece = (outcome: Outcome, points: readonly Point[]): Piece => ({
    outcome,
    points: points.flatMap((p) => [p.width, p.height]),
  });
  const outcomes = new Set(corners.map((c) => c.outcome));
  if (outcomes.size === 1) return [piece(corners[0]!.outcome, corners.map(pointOf))];
  const around = [0, 1, 2].map((i) => corners[i]!);
  if (outcomes.size === 3) {
    const sides = around.map((a, i) => cross(a, around[(i + 1) % 3]!));
    const middle = centreOf(sides);
    return around.map((a, i) => piece(a.outcome, [pointOf(a), sides[i]!, middle, sides[(i + 2) % 3]!]));
  }
  const alone = around.findIndex((a) => around.filter((b) => b.outcome === a.outcome).length === 1);
  const [a, b, c] = [0, 1, 2].map((i) => around[(alone + i) % 3]!) as [
    JudgedWindow,
    JudgedWindow,
    JudgedWindow,
  ];
  const [ab, ac] = [cross(a, b), cross(a, c)];
  return [piece(a.outcome, [pointOf(a), ab, ac]), piece(b.outcome, [ab, pointOf(b), pointOf(c), ac])];
}

/** Squares that end alike at all corners, those beside one another in a row as one piece. */
export function inRuns(lattice: Lattice, squares: readonly Square[], density: number): Piece[] {
  const even = squares.filter((s) => !isMixed(lattice, s));
  const rows = [...grouped(even, ({ row, side }) => `${side} ${row}`).values()];
  return rows.flatMap((row) => {
    const pieces: Piece[] = [];
    let end = NaN;
    for (const square of row.toSorted((a, b) => a.column - b.column)) {
      const [a, b, c, d] = cornersOf(lattice, square);
      const last = pieces.at(-1);
      const lu = [a, b, c, d].flatMap((w) => [w.widthPx / density, w.heightPx / density]);
      if (last?.outcome === a.outcome && end === square.column) last.points.splice(2, 4, ...lu.slice(2, 6));
      else pieces.push({ outcome: a.outcome, points: lu });
      end = square.column + square.side;
    }
    return pieces;
  });
}

/** A square of windows that end differently, cut where their outcomes change. */
export function cutSquare(lattice: Lattice, square: Square, density: number, cross: Cross): Piece[] {
  const [a, b, c, d] = cornersOf(lattice, square);
  // Along the diagonal on which the ratio stays: bands of one ratio are the usual ones.
  return [...cutTriangle([a, b, c], density, cross), ...cutTriangle([a, c, d], density, cross)];
}
