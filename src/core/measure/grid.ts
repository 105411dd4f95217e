import { bottom, right, type PerSide, type Rect } from '../geometry/rect';

/** Distance of each edge to the nearest line of the device's grid, px, 0..0.5. */
export function subPixel(rect: Rect, density: number): PerSide {
  const off = (at: number) => Math.abs(at * density - Math.round(at * density));
  return { left: off(rect.x), right: off(right(rect)), top: off(rect.y), bottom: off(bottom(rect)) };
}
