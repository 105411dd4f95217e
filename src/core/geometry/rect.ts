/** Lengths are logical units (lu) unless a name ends in `Px`; x grows to the right, y grows downwards. */

export type Axis = 'x' | 'y';
export type Side = 'left' | 'right' | 'top' | 'bottom';
export const SIDES = ['left', 'right', 'top', 'bottom'] as const satisfies readonly Side[];

export interface Size {
  width: number;
  height: number;
}

export interface Rect extends Size {
  x: number;
  y: number;
}

/** One axis of a rectangle; `end` is never before `start`. */
export interface Span {
  start: number;
  end: number;
}

/** A value for each of the four sides, physical: left is left in every writing direction. */
export type PerSide = Record<Side, number>;

class Rectangle implements Rect {
  constructor(
    public x: number,
    public y: number,
    public width: number,
    public height: number,
  ) {}
}

class Sides implements PerSide {
  constructor(
    public left: number,
    public right: number,
    public top: number,
    public bottom: number,
  ) {}
}

/**
 * Whatever a survey makes thousands of, and may be kept, comes from a constructor. Where most of what an object literal
 * made was kept, engines take all that it makes from then on for long-lived: what a running edit throws away again is
 * then collected at ten times the cost. What a constructor makes always begins as short-lived.
 */
export const rectOf = (x: number, y: number, width: number, height: number): Rect =>
  new Rectangle(x, y, width, height);

export const sidesOf = (left: number, right: number, top: number, bottom: number): PerSide =>
  new Sides(left, right, top, bottom);

export const right = (r: Rect) => r.x + r.width;
export const bottom = (r: Rect) => r.y + r.height;
export const area = (s: Size) => s.width * s.height;
export const clamp = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value));

export const span = (r: Rect, axis: Axis): Span =>
  axis === 'x' ? { start: r.x, end: right(r) } : { start: r.y, end: bottom(r) };

export const centreOf = (r: Rect) => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 });

export const extent = (s: Size, axis: Axis) => (axis === 'x' ? s.width : s.height);

export const fromSpans = (x: Span, y: Span): Rect =>
  rectOf(x.start, y.start, x.end - x.start, y.end - y.start);

export const fromSize = (s: Size): Rect => rectOf(0, 0, s.width, s.height);

/** The part that both rectangles cover; `null` when they share no area. */
export function intersect(a: Rect, b: Rect): Rect | null {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  const width = Math.min(right(a), right(b)) - x;
  const height = Math.min(bottom(a), bottom(b)) - y;
  return width > 0 && height > 0 ? rectOf(x, y, width, height) : null;
}

/** Whether the two share any area. */
export const intersects = (a: Rect, b: Rect): boolean =>
  Math.min(right(a), right(b)) > Math.max(a.x, b.x) && Math.min(bottom(a), bottom(b)) > Math.max(a.y, b.y);

/** The rectangle with each side moved inwards; an axis that would turn inside out becomes empty at its start. */
export function inset(r: Rect, by: PerSide): Rect {
  return rectOf(
    r.x + by.left,
    r.y + by.top,
    Math.max(0, r.width - by.left - by.right),
    Math.max(0, r.height - by.top - by.bottom),
  );
}

/** Distance from each side of `outer` inwards to the same side of `inner`; negative where `inner` sticks out. */
export const distances = (inner: Rect, outer: Rect): PerSide =>
  sidesOf(inner.x - outer.x, right(outer) - right(inner), inner.y - outer.y, bottom(outer) - bottom(inner));

export const mapSides = (f: (side: Side) => number): PerSide =>
  sidesOf(f('left'), f('right'), f('top'), f('bottom'));

/** The rectangle seen in a mirror that stands in the middle of an area of this width from x = 0 on. */
export const mirrored = (r: Rect, width: number): Rect => rectOf(width - right(r), r.y, r.width, r.height);

/** The part of a rectangle that shares of its width and height name. */
export const partOf = (r: Rect, share: Rect): Rect =>
  rectOf(r.x + share.x * r.width, r.y + share.y * r.height, share.width * r.width, share.height * r.height);

/**
 * The radius of corners of a rectangle: all of them scale alike until no two overlap, so that it is at most half of the
 * shorter side. Source: CSS Backgrounds 3 §4.5 (overlapping curves), for four radii that are the same.
 * @param radius as it is asked for, lu; less than 0 is 0
 */
export const fittingRadius = (radius: number, s: Size): number =>
  clamp(radius, 0, Math.min(s.width, s.height) / 2);

/** Area that several rectangles cover between them: what lies under two of them counts once. */
export const unionArea = (rects: readonly Rect[]): number =>
  rects.reduce((sum, r, i) => {
    const before = rects.slice(0, i).flatMap((b) => intersect(r, b) ?? []);
    return sum + area(r) - unionArea(before);
  }, 0);

/** Whether a rectangle lies inside of another, edges on edges included. */
export const contains = (outer: Rect, inner: Rect): boolean =>
  inner.x >= outer.x && inner.y >= outer.y && right(inner) <= right(outer) && bottom(inner) <= bottom(outer);

/** How a rectangle becomes another: the way of its middle, right and down positive, and the furthest that a corner goes. */
export function moveBetween(from: Rect, to: Rect): { shift: { x: number; y: number }; furthest: number } {
  const [a, b] = [centreOf(from), centreOf(to)];
  const across = [to.x - from.x, right(to) - right(from)];
  const down = [to.y - from.y, bottom(to) - bottom(from)];
  const furthest = Math.max(...across.flatMap((x) => down.map((y) => Math.hypot(x, y))));
  return { shift: { x: b.x - a.x, y: b.y - a.y }, furthest };
}

/** The smallest rectangle around several. @param rects at least one */
export function unionOf(rects: readonly Rect[]): Rect {
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  const end = { x: Math.max(...rects.map(right)), y: Math.max(...rects.map(bottom)) };
  return rectOf(x, y, end.x - x, end.y - y);
}
