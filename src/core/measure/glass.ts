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
  // In each corner square: what of the rectangle lies in it, less what of that lies in its quarter disc.
  const corners = [
    { x: whole.x + r, y: whole.y + r, sx: -1, sy: -1 },
    { x: right(whole) - r, y: whole.y + r, sx: 1, sy: -1 },
    { x: whole.x + r, y: bottom(whole) - r, sx: -1, sy: 1 },
    { x: right(whole) - r, y: bottom(whole) - r, sx: 1, sy: 1 },
  ];
  const lost = corners.map(({ x, y, sx, sy }) => {
    const along = (start: number, end: number, at: number, sign: number) =>
      sign > 0 ? [start - at, end - at] : [at - end, at - start];
    const [x0, x1] = along(common.x, right(common), x, sx) as [number, number];
    const [y0, y1] = along(common.y, bottom(common), y, sy) as [number, number];
    const square =
      Math.max(0, Math.min(r, x1) - Math.max(0, x0)) * Math.max(0, Math.min(r, y1) - Math.max(0, y0));
    return square - quarterDisc(r, x0, x1, y0, y1);
  });
  return area(common) - lost.reduce((a, b) => a + b, 0);
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
