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

export const right = (r: Rect) => r.x + r.width;
export const bottom = (r: Rect) => r.y + r.height;
export const area = (s: Size) => s.width * s.height;
export const clamp = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value));

export const span = (r: Rect, axis: Axis): Span =>
  axis === 'x' ? { start: r.x, end: right(r) } : { start: r.y, end: bottom(r) };

export const extent = (s: Size, axis: Axis) => (axis === 'x' ? s.width : s.height);

export const fromSpans = (x: Span, y: Span): Rect => ({
  x: x.start,
  y: y.start,
  width: x.end - x.start,
  height: y.end - y.start,
});

export const fromSize = (s: Size): Rect => ({ x: 0, y: 0, width: s.width, height: s.height });

/** The part that both rectangles cover; `null` when they share no area. */
export function intersect(a: Rect, b: Rect): Rect | null {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  const width = Math.min(right(a), right(b)) - x;
  const height = Math.min(bottom(a), bottom(b)) - y;
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** Whether the two share any area. */
export const meet = (a: Rect, b: Rect): boolean =>
  Math.min(right(a), right(b)) > Math.max(a.x, b.x) && Math.min(bottom(a), bottom(b)) > Math.max(a.y, b.y);

/** The rectangle with each side moved inwards; an axis that would turn inside out becomes empty at its start. */
export function inset(r: Rect, by: PerSide): Rect {
  return {
    x: r.x + by.left,
    y: r.y + by.top,
    width: Math.max(0, r.width - by.left - by.right),
    height: Math.max(0, r.height - by.top - by.bottom),
  };
}

/** Distance from each side of `outer` inwards to the same side of `inner`; negative where `inner` sticks out. */
export const distances = (inner: Rect, outer: Rect): PerSide => ({
  left: inner.x - outer.x,
  right: right(outer) - right(inner),
  top: inner.y - outer.y,
  bottom: bottom(outer) - bottom(inner),
});

export const mapSides = (f: (side: Side) => number): PerSide => ({
  left: f('left'),
  right: f('right'),
  top: f('top'),
  bottom: f('bottom'),
});

/** The rectangle seen in a mirror that stands in the middle of an area of this width from x = 0 on. */
export const mirrored = (r: Rect, width: number): Rect => ({
  x: width - right(r),
  y: r.y,
  width: r.width,
  height: r.height,
});

/** The part of a rectangle that shares of its width and height name. */
export const partOf = (r: Rect, share: Rect): Rect => ({
  x: r.x + share.x * r.width,
  y: r.y + share.y * r.height,
  width: share.width * r.width,
  height: share.height * r.height,
});

/** Whether a rectangle lies inside of another, edges on edges included. */
export const contains = (outer: Rect, inner: Rect): boolean =>
  inner.x >= outer.x && inner.y >= outer.y && right(inner) <= right(outer) && bottom(inner) <= bottom(outer);
