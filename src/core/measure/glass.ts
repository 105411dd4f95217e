import { area, bottom, clamp, intersect, right, type Rect } from '../geometry/rect';
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
export function areaInRound(rect: Rect, round: RoundRect): number {
  const common = intersect(rect, round.rect);
  if (!common) return 0;
  const { radius: r } = round;
  if (r <= 0) return area(common);
  const whole = round.rect;
  const isBetween = (start: number, end: number, from: number, to: number) =>
    start >= from + r && end <= to - r;
  // Beside the corner squares nothing is lost.
  if (
    isBetween(common.x, right(common), whole.x, right(whole)) ||
    isBetween(common.y, bottom(common), whole.y, bottom(whole))
  )
    return area(common);
  // Where the rectangle starts as seen from the middle of each arc, outwards positive.
  const toLeft = whole.x + r - right(common);
  const toRight = common.x - (right(whole) - r);
  const upwards = whole.y + r - bottom(common);
  const downwards = common.y - (bottom(whole) - r);
  const { width, height } = common;
  const lost =
    outsideOfArc(r, toLeft, upwards, width, height) +
    outsideOfArc(r, toRight, upwards, width, height) +
    outsideOfArc(r, toLeft, downwards, width, height) +
    outsideOfArc(r, toRight, downwards, width, height);
  return area(common) - lost;
}

/** What the glass hides of a rectangle of the screen, lu²: under cutouts, and outside of the rounded corners. */
export function hiddenByGlass(rect: Rect, { glass, holes }: Outline): { cutout: number; corner: number } {
  const corner = area(rect) - areaInRound(rect, glass);
  return {
    cutout: holes.reduce((sum, h) => sum + areaInRound(rect, h), 0),
    // The last bits of a sum are no corner.
    corner: corner < 1e-9 * area(rect) ? 0 : corner,
  };
}
