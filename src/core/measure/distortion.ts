import type { Placement } from '../fit/place';

/** max(sx ÷ sy, sy ÷ sx) − 1, where sx, sy are the scales of the two axes; 0 keeps the shape. `null` when nothing is drawn. */
export function distortion({ scale }: Placement): number | null {
  if (scale.x <= 0 || scale.y <= 0) return null;
  return Math.max(scale.x / scale.y, scale.y / scale.x) - 1;
}
