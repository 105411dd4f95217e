import { clamp, type Rect } from '../geometry/rect';

/** Areas of a picture as shares of its width and height, changed by hand. All of them stay within the picture. */

interface Point {
  x: number;
  y: number;
}

/** No side of an area is shorter, so that it can still be taken hold of. */
const LEAST = 0.01;

const within = ({ x, y }: Point): Point => ({ x: clamp(x, 0, 1), y: clamp(y, 0, 1) });

/** The area between two points, in whichever order. */
export function areaBetween(one: Point, two: Point): Rect {
  const [a, b] = [within(one), within(two)];
  const width = Math.max(LEAST, Math.abs(a.x - b.x));
  const height = Math.max(LEAST, Math.abs(a.y - b.y));
  return {
    x: Math.min(a.x, b.x, 1 - width),
    y: Math.min(a.y, b.y, 1 - height),
    width,
    height,
  };
}

/** Moves an area, by shares of the picture; it stops at the edges. */
export const movedArea = (r: Rect, by: Point): Rect => ({
  ...r,
  x: clamp(r.x + by.x, 0, 1 - r.width),
  y: clamp(r.y + by.y, 0, 1 - r.height),
});

/** The area with its far corner elsewhere. */
export const resizedArea = (r: Rect, by: Point): Rect => ({
  ...r,
  width: clamp(r.width + by.x, Math.min(LEAST, 1 - r.x), 1 - r.x),
  height: clamp(r.height + by.y, Math.min(LEAST, 1 - r.y), 1 - r.y),
});

/** An area of a picture as an area of a part of it; what lies outside the part is left out. */
export function areaWithin(r: Rect, part: Rect): Rect {
  const from = within({ x: (r.x - part.x) / part.width, y: (r.y - part.y) / part.height });
  const to = within({
    x: (r.x + r.width - part.x) / part.width,
    y: (r.y + r.height - part.y) / part.height,
  });
  return areaBetween(from, to);
}
