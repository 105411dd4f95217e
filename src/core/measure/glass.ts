import { area, bottom, clamp, right, type Rect } from '../geometry/rect';
import type { Outline, RoundRect } from '../screens/outline';

/** ∫ √(r² − x²) dx from 0 to x, for |x| ≤ r. Source: any table of integrals. */
const underArc = (r: number, x: number) =>
  (x * Math.sqrt(Math.max(0, r * r - x * x)) + r * r * Math.asin(clamp(x / r, -1, 1))) / 2;

/** Area that a quarter disc of radius r around the origin, where x and y are positive, has in common with a box. */
function quarterDisc(r: number, x0: number, x1: number, y0: number, y1: number): number {
  const [from, to] = [Math.max(0, x0), Math.min(r, x1)];
  const [low, high] = [Math.max(0, y0), Math.min(r, y1)];
  if (to <= from || high <= low) return 0;
  // Up to `flat` the arc lies above the box, from `none` on it lies below.
  const flat = clamp(Math.sqrt(r * r - high * high), from, to);
  const none = clamp(Math.sqrt(r * r - low * low), from, to);
  return (flat - from) * (high - low) + underArc(r, none) - underArc(r, flat) - (none - flat) * low;
}

/** Area of a box that lies in the corner square of radius r from the origin on, but not in its quarter disc. */
function outsideOfArc(r: number, x: number, y: number, width: number, height: number): number {
  const [x1, y1] = [x + width, y + height];
  const across = Math.max(0, Math.min(r, x1) - Math.max(0, x));
  const down = Math.max(0, Math.min(r, y1) - Math.max(0, y));
  return across > 0 && down > 0 ? across * down - quarterDisc(r, x, x1, y, y1) : 0;
}

/** Area that a rectangle has in common with one whose corners are round, lu². */
export function areaInRound(rect: Rect, { rect: whole, radius: r }: RoundRect): number {
  const x0 = Math.max(rect.x, whole.x);
  const x1 = Math.min(right(rect), right(whole));
  const y0 = Math.max(rect.y, whole.y);
  const y1 = Math.min(bottom(rect), bottom(whole));
  const width = x1 - x0;
  const height = y1 - y0;
  if (width <= 0 || height <= 0) return 0;
  // Where the common part starts as seen from the middle of each arc, outwards positive.
  const toLeft = whole.x + r - x1;
  const toRight = x0 - (right(whole) - r);
  const upwards = whole.y + r - y1;
  const downwards = y0 - (bottom(whole) - r);
  const common = width * height;
  // Beside the corner squares nothing is lost.
  if (Math.max(toLeft, toRight) + width <= 0 || Math.max(upwards, downwards) + height <= 0) return common;
  const lost =
    outsideOfArc(r, toLeft, upwards, width, height) +
    outsideOfArc(r, toRight, upwards, width, height) +
    outsideOfArc(r, toLeft, downwards, width, height) +
    outsideOfArc(r, toRight, downwards, width, height);
  return common - lost;
}

/** What the glass hides of a rectangle of the screen, lu²: under cutouts, and outside the rounded corners. */
export function hiddenByGlass(rect: Rect, { glass, holes }: Outline): { cutout: number; corner: number } {
  const corner = area(rect) - areaInRound(rect, glass);
  let cutout = 0;
  for (const hole of holes) cutout += areaInRound(rect, hole);
  // The last bits of a sum are no corner.
  return { cutout, corner: corner < 1e-9 * area(rect) ? 0 : corner };
}
