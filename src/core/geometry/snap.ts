import { bottom, right, type Rect } from './rect';

/** Rounds half up (towards +∞), also for negative numbers: −0.5 → 0, 0.5 → 1. */
export const roundHalfUp = (value: number) => Math.floor(value + 0.5);

/**
 * A rectangle on the device grid. Every edge is rounded by itself in absolute screen coordinates, so two
 * rectangles that share an edge in logical units share it on the grid as well and never leave a gap.
 *
 * @param rect in logical units, absolute on the screen
 * @param density device px per logical unit, > 0
 * @returns device px, whole numbers; an extent may be 0
 */
export function snap(rect: Rect, density: number): Rect {
  const x = roundHalfUp(rect.x * density);
  const y = roundHalfUp(rect.y * density);
  return {
    x,
    y,
    width: roundHalfUp(right(rect) * density) - x,
    height: roundHalfUp(bottom(rect) * density) - y,
  };
}
