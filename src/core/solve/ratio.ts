import type { Rect, Size } from '../geometry/rect';
import type { MeasureName } from '../measure/limit';
import { common, EVERYTHING, type Interval } from './interval';

/** Ranges of the ratio of a box, width : height, under which something holds; all of them closed forms. */

/** Sizes of fit whose loss follows from the ratio of the box alone. */
export const RATIO_FITS = ['cover', 'contain', 'stretch', 'match-width', 'match-height'] as const;
export type RatioFit = (typeof RATIO_FITS)[number];

/**
 * Ratios at which some position shows a keep area whole when the picture covers its box.
 * @param area shares of the picture
 */
export const reachable = (area: Rect, { width: w, height: h }: Size): Interval => ({
  low: (area.width * w) / h,
  high: w / (area.height * h),
});

/** Least visible extent, as a share of the whole, that shows [a, b] from a position p; terms with a zero divisor drop. */
const leastVisible = (a: number, b: number, p: number) =>
  Math.max(p > 0 ? 1 - a / p : -Infinity, p < 1 ? (b - p) / (1 - p) : -Infinity, 0);

/**
 * Ratios at which the position in use shows the keep area whole when the picture covers its box: only these are safe.
 * @param position shares 0..1; `null` where neither more nor less of the picture would do
 */
export function heldRatios(
  area: Rect,
  { width: w, height: h }: Size,
  position: { x: number; y: number },
): Interval | null {
  const own = w / h;
  const across = leastVisible(area.x, area.x + area.width, position.x);
  const down = leastVisible(area.y, area.y + area.height, position.y);
  if (across > 1 || down > 1) return null;
  return { low: own * across, high: down > 0 ? own / down : Infinity };
}

/** Ratios at which all of several areas are held. */
export const heldAll = (
  areas: readonly Rect[],
  size: Size,
  position: { x: number; y: number },
): Interval | null =>
  areas.reduce<Interval | null>((range, area) => {
    const own = heldRatios(area, size, position);
    return range && own && common(range, own);
  }, EVERYTHING);

/**
 * Ratios at which a loss stays within a limit.
 * @param own ratio of the picture
 * @param max the limit, ≥ 0
 * @returns everything where the fit never has that loss
 */
export function rangeWithin(measure: MeasureName, fit: RatioFit, own: number, max: number): Interval {
  const part = 1 - max;
  const below: Interval = { low: own * part, high: Infinity };
  const above: Interval = { low: 0, high: part > 0 ? own / part : Infinity };
  const both = { low: below.low, high: above.high };
  if (measure === 'distortion' && fit === 'stretch') return { low: own / (1 + max), high: own * (1 + max) };
  if (measure === 'crop') {
    if (fit === 'cover') return both;
    if (fit === 'match-width') return above;
    if (fit === 'match-height') return below;
  }
  if (measure === 'bare') {
    if (fit === 'contain') return both;
    if (fit === 'match-width') return below;
    if (fit === 'match-height') return above;
  }
  return EVERYTHING;
}
