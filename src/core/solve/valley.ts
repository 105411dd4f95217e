import type { Rect } from '../geometry/rect';
import type { RatioFit } from './ratio';

/** Measures that have a curve over the ratio of the box. */
export const VALLEY_MEASURES = ['crop', 'bare', 'distortion', 'keep-lost'] as const;
export type ValleyMeasure = (typeof VALLEY_MEASURES)[number];

/** A picture in a box, as far as its losses follow from the ratio of the box. */
export interface Valley {
  fit: RatioFit;
  /** ratio of the picture's own file */
  own: number;
  /** what has to be seen, shares of the picture */
  areas: readonly Rect[];
  /** where it is held, shares 0..1 */
  position: { x: number; y: number };
}

/** Visible share of the picture along each axis, and drawn share of the box, for a box of a ratio. */
function shares({ fit, own }: Valley, ratio: number) {
  const wide = ratio / own;
  switch (fit) {
    case 'cover':
      return { x: Math.min(1, wide), y: Math.min(1, 1 / wide), filled: 1 };
    case 'contain':
      return { x: 1, y: 1, filled: Math.min(wide, 1 / wide) };
    case 'stretch':
      return { x: 1, y: 1, filled: 1 };
    case 'match-width':
      return { x: 1, y: Math.min(1, 1 / wide), filled: Math.min(1, wide) };
    case 'match-height':
      return { x: Math.min(1, wide), y: 1, filled: Math.min(1, 1 / wide) };
  }
}

/** Share of [start, start + length] that is seen when a share v of the picture is, held at p. */
function seenOf(start: number, length: number, v: number, p: number): number {
  const from = (1 - v) * p;
  const seen = Math.min(start + length, from + v) - Math.max(start, from);
  return length > 0 ? Math.max(0, Math.min(1, seen / length)) : 1;
}

/** The loss in a box of a ratio, 0..1; of the keep areas the one of which most is lost. */
export function lossAt(valley: Valley, measure: ValleyMeasure, ratio: number): number {
  const { x, y, filled } = shares(valley, ratio);
  const { own, fit, areas, position } = valley;
  switch (measure) {
    case 'crop':
      return 1 - x * y;
    case 'bare':
      return 1 - filled;
    case 'distortion':
      return fit === 'stretch' ? Math.max(ratio / own, own / ratio) - 1 : 0;
    case 'keep-lost':
      return Math.max(
        0,
        ...areas.map((a) => 1 - seenOf(a.x, a.width, x, position.x) * seenOf(a.y, a.height, y, position.y)),
      );
  }
}

/** Visible shares at which the edge of a stretch comes into view, from a position p. */
const edgesOf = (start: number, end: number, p: number): number[] => [
  ...(p > 0 ? [1 - start / p, 1 - end / p] : []),
  ...(p < 1 ? [(end - p) / (1 - p), (start - p) / (1 - p)] : []),
];

/** Ratios at which a curve bends: at the picture's own, and where the edge of a keep area comes into view. */
export function kinks({ fit, own, areas, position }: Valley, measure: ValleyMeasure): number[] {
  const across = fit === 'cover' || fit === 'match-height';
  const down = fit === 'cover' || fit === 'match-width';
  const at = areas.flatMap((a) => [
    ...(across ? edgesOf(a.x, a.x + a.width, position.x).map((v) => own * v) : []),
    ...(down ? edgesOf(a.y, a.y + a.height, position.y).map((v) => own / v) : []),
  ]);
  const found = measure === 'keep-lost' ? [own, ...at] : [own];
  return [...new Set(found)].filter((r) => r > 0 && Number.isFinite(r)).toSorted((a, b) => a - b);
}

/** A point of a curve. */
export interface CurvePoint {
  ratio: number;
  loss: number;
}

/**
 * A curve from one ratio to another: evenly in the logarithm of the ratio, and exactly at its kinks.
 * @param steps how many even steps
 */
export function curve(
  valley: Valley,
  measure: ValleyMeasure,
  range: { low: number; high: number },
  steps = 96,
): CurvePoint[] {
  const { low, high } = range;
  const even = Array.from({ length: steps + 1 }, (_, i) => low * (high / low) ** (i / steps));
  const bent = kinks(valley, measure).filter((r) => r > low && r < high);
  return [...even, ...bent]
    .toSorted((a, b) => a - b)
    .map((ratio) => ({ ratio, loss: lossAt(valley, measure, ratio) }));
}

/**
 * The greatest loss over a range of ratios. A curve rises or falls all the way between two of its kinks, so that only
 * those and the ends have to be looked at.
 */
export function worstWithin(
  valley: Valley,
  measure: ValleyMeasure,
  { low, high }: { low: number; high: number },
): CurvePoint {
  const inside = kinks(valley, measure).filter((r) => r > low && r < high);
  const points = [low, ...inside, high].map((ratio) => ({ ratio, loss: lossAt(valley, measure, ratio) }));
  return points.reduce((worst, p) => (p.loss > worst.loss + 1e-12 ? p : worst));
}

/** Halvings until a ratio is known to its last bits. */
const HALVINGS = 60;

/** Where between two ratios a curve that rises or falls all the way passes a loss. */
function crossing(valley: Valley, measure: ValleyMeasure, max: number, kept: number, passed: number): number {
  let [inside, outside] = [kept, passed];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = Math.sqrt(inside * outside);
    if (lossAt(valley, measure, middle) <= max) inside = middle;
    else outside = middle;
  }
  return inside;
}

/**
 * The stretches of ratios on which a curve loses no more than a limit allows, ascending; neighbours are one stretch.
 * @param max the most that may be lost, 0..1
 */
export function keptWithin(
  valley: Valley,
  measure: ValleyMeasure,
  max: number,
  { low, high }: { low: number; high: number },
): { low: number; high: number }[] {
  const keeps = (ratio: number) => lossAt(valley, measure, ratio) <= max;
  const points = [low, ...kinks(valley, measure).filter((r) => r > low && r < high), high];
  const found: { low: number; high: number }[] = [];
  points.slice(1).forEach((to, i) => {
    const from = points[i]!;
    if (!keeps(from) && !keeps(to)) return;
    const start = keeps(from) ? from : crossing(valley, measure, max, to, from);
    const end = keeps(to) ? to : crossing(valley, measure, max, from, to);
    const last = found.at(-1);
    if (last?.high === start) last.high = end;
    else found.push({ low: start, high: end });
  });
  return found;
}

/**
 * Stretches of ratios on which no screen lies.
 * @param ratios of the screens that there are
 * @param least how far two neighbours are apart, as a factor, before there is a stretch between them
 */
export function emptyStretches(
  ratios: readonly number[],
  { low, high }: { low: number; high: number },
  least = 1.06,
): { low: number; high: number }[] {
  const inside = ratios.filter((r) => r > low && r < high).toSorted((a, b) => a - b);
  const marks = [low, ...inside, high];
  return marks.slice(1).flatMap((to, i) => (to / marks[i]! >= least ? [{ low: marks[i]!, high: to }] : []));
}
