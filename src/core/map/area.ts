import type { Size } from '../geometry/rect';
import type { Outcome } from '../measure/judge';
import type { Ratios } from '../screens/counted';
import type { Piece } from './pieces';
import type { Span } from './range';

/** The windows that an app may have: by width and height, lu, and by ratio; all where nothing is said. */
export interface AllowedSizes {
  width?: Span;
  height?: Span;
  ratios?: Ratios;
}

export type OutcomeShares = Record<Outcome, number>;

/** A point of the map: the logarithms of width and height. */
type Point = readonly [x: number, y: number];

/** The half of the map on which a · x + b · y ≤ c. */
type Half = readonly [a: number, b: number, c: number];

/** Width, height and ratio are bounded by straight lines where width and height are logarithmic. */
function halvesOf({ width, height, ratios }: AllowedSizes): Half[] {
  const halves: Half[] = [];
  const bound = (a: number, b: number, { low, high }: Span) =>
    halves.push([-a, -b, -Math.log(low)], [a, b, Math.log(high)]);
  if (width) bound(1, 0, width);
  if (height) bound(0, 1, height);
  if (ratios) bound(1, -1, ratios);
  return halves;
}

function pointsOf({ points }: Piece): Point[] {
  const all: Point[] = [];
  for (let i = 0; i < points.length; i += 2) all.push([Math.log(points[i]!), Math.log(points[i + 1]!)]);
  return all;
}

/** What of a convex area lies in a half. Source: Sutherland and Hodgman, Reentrant polygon clipping, 1974. */
function clipped(area: readonly Point[], [a, b, c]: Half): Point[] {
  const by = ([x, y]: Point) => a * x + b * y - c;
  return area.flatMap((p, i) => {
    const q = area[(i + 1) % area.length]!;
    const [here, next] = [by(p), by(q)];
    const kept = here <= 0 ? [p] : [];
    if (here <= 0 === next <= 0) return kept;
    const t = here / (here - next);
    return [...kept, [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])] as const];
  });
}

/** Source: the shoelace formula. */
function areaOf(points: readonly Point[]): number {
  let twice = 0;
  points.forEach(([x, y], i) => {
    const [nextX, nextY] = points[(i + 1) % points.length]!;
    twice += x * nextY - nextX * y;
  });
  return Math.abs(twice) / 2;
}

/**
 * For which share of the windows of a map the outcome is which, 0..1 each: of the area where width and height are logarithmic,
 * so that twice as wide counts the same wherever it is. `null` where nothing of it is allowed.
 */
export function sharesOf(pieces: readonly Piece[], allowed: AllowedSizes = {}): OutcomeShares | null {
  const halves = halvesOf(allowed);
  const areas: OutcomeShares = { clear: 0, warn: 0, fail: 0 };
  for (const piece of pieces)
    areas[piece.outcome] += areaOf(halves.reduce<Point[]>(clipped, pointsOf(piece)));
  const all = areas.clear + areas.warn + areas.fail;
  return all > 0 ? { clear: areas.clear / all, warn: areas.warn / all, fail: areas.fail / all } : null;
}

/** Whether a window is one that the app may have. */
export const isAllowed = ({ width, height }: Size, allowed: AllowedSizes): boolean =>
  halvesOf(allowed).every(([a, b, c]) => a * Math.log(width) + b * Math.log(height) <= c + 1e-9);

/** Sides of a convex area turn one way; a point inside lies on that side of all of them. */
function isWithin([x, y]: Point, area: readonly Point[]): boolean {
  let sign = 0;
  return area.every(([ax, ay], i) => {
    const [bx, by] = area[(i + 1) % area.length]!;
    const turn = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
    if (Math.abs(turn) < 1e-15) return true;
    if (sign === 0) sign = Math.sign(turn);
    return Math.sign(turn) === sign;
  });
}

/** What the map says of a window; `null` beyond its edges. */
export function outcomeAt(pieces: readonly Piece[], { width, height }: Size): Outcome | null {
  const point: Point = [Math.log(width), Math.log(height)];
  return pieces.find((piece) => isWithin(point, pointsOf(piece)))?.outcome ?? null;
}
