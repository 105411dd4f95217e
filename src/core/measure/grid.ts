import { bottom, right, sidesOf, type PerSide, type Rect } from '../geometry/rect';

/** Distance of each edge to the nearest line of the device's grid, px, 0..0.5. */
export function subPixel(rect: Rect, density: number): PerSide {
  const off = (at: number) => Math.abs(at * density - Math.round(at * density));
  return sidesOf(off(rect.x), off(right(rect)), off(rect.y), off(bottom(rect)));
}
