import { extent, intersect, span, type Axis } from '../geometry/rect';
import { isRepeated } from '../fit/tiles';
import type { KeepArea } from '../pictures/picture';
import type { Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { common, UNIT, type Interval } from './interval';

/** A picture on one case, as the solver sees it. */
export interface PlacedCase {
  caseId: string;
  /** how much the case counts, ≥ 0 */
  weight: number;
  placement: Placement;
  /** what ends the view: the screen, and every clipping panel */
  window: Rect;
  /** what has to be seen; shares of the picture */
  keepAreas: readonly KeepArea[];
  /** lu by which the position in use is moved besides its share, per axis */
  offset: { x: number; y: number };
}

/** Which way a position says where the picture lies. */
export type AlignKind = 'position' | 'focal';

/** What one keep area on one case asks of the position along one axis. */
export interface Ask {
  caseId: string;
  subject: string;
  weight: number;
  /** shares 0..1 at which it is whole; `null` where it never is */
  held: Interval | null;
}

/** The sum of many products may be off in its last bits; a bound missed by so little is met. */
const ROUNDING = 1e-12;

/**
 * Shares of a position at which a stretch [a, b] of the picture is seen whole.
 * With the picture drawn s times as large in a box of W, and D = w − W/s: a point a lies at s·(a − p·D), so that
 * p·D has to lie in [b − c1/s, a − c0/s] for a window [c0, c1] in the box’s coordinates.
 */
function heldByShare(need: Interval, d: number, size: number): Interval | null {
  if (need.low > need.high + ROUNDING * size) return null;
  if (Math.abs(d) < ROUNDING * size) {
    const whole = need.low <= ROUNDING * size && need.high >= -ROUNDING * size;
    return whole ? UNIT : null;
  }
  const ends = [need.low / d, need.high / d];
  return common({ low: Math.min(...ends), high: Math.max(...ends) }, UNIT);
}

/**
 * The focal points that hold a need along one axis: the picture starts at clamp(f·w − W/(2s), min(0, D), max(0, D)), so that a bound which
 * is reached by clamping holds for every focal point beyond it.
 */
function heldByFocal(need: Interval, d: number, w: number, half: number): Interval | null {
  const [least, most] = [Math.min(0, d), Math.max(0, d)];
  const slack = ROUNDING * w;
  if (need.low > need.high + slack || need.low > most + slack || need.high < least - slack) return null;
  const low = need.low <= least + slack ? 0 : (need.low + half) / w;
  const high = need.high >= most - slack ? 1 : (need.high + half) / w;
  return common({ low, high }, UNIT);
}

function askOf(c: PlacedCase, { subject, rect }: KeepArea, axis: Axis, kind: AlignKind): Ask {
  const { placement: p } = c;
  const weight = c.weight;
  const clipped = p.clipped ? intersect(p.box, c.window) : c.window;
  if (!clipped) return { caseId: c.caseId, subject, weight, held: null };
  const s = axis === 'x' ? p.scale.x : p.scale.y;
  const w = extent(p.natural, axis);
  const room = extent(p.box, axis);
  const from = span(p.box, axis).start + c.offset[axis];
  const seen = span(clipped, axis);
  const area = span(rect, axis);
  const need = {
    low: area.end * w - (seen.end - from) / s,
    high: area.start * w - (seen.start - from) / s,
  };
  const d = w - room / s;
  const held = kind === 'position' ? heldByShare(need, d, w) : heldByFocal(need, d, w, room / (2 * s));
  return { caseId: c.caseId, subject, weight, held };
}

/** The shares of an axis at which everything is kept, or what makes that impossible. */
export type AxisAnswer =
  | { kind: 'held'; interval: Interval }
  /** one case cannot keep an area by itself */
  | { kind: 'alone'; ask: Ask }
  /** two exclude each other */
  | { kind: 'pair'; asks: [Ask, Ask] };

function answerOf(asks: readonly Ask[]): AxisAnswer {
  const alone = asks.find((a) => a.held === null);
  if (alone) return { kind: 'alone', ask: alone };
  const held = asks as readonly (Ask & { held: Interval })[];
  if (held.length === 0) return { kind: 'held', interval: UNIT };
  const lowest = held.reduce((a, b) => (b.held.low > a.held.low ? b : a));
  const highest = held.reduce((a, b) => (b.held.high < a.held.high ? b : a));
  const interval = common(
    { low: lowest.held.low, high: Infinity },
    { low: -Infinity, high: highest.held.high },
  );
  return interval ? { kind: 'held', interval } : { kind: 'pair', asks: [lowest, highest] };
}

/** The position that keeps the most weight, and how much of all that is asked for. */
export interface Best {
  x: number;
  y: number;
  kept: number;
  asked: number;
}

/**
 * The deepest point of the rectangles that the asks of both axes make, each as heavy as its case: a sweep over the left
 * ends, and over the upper ends of what lies there.
 */
function deepest(xs: readonly Ask[], ys: readonly Ask[]): Best {
  const asked = xs.reduce((sum, a) => sum + a.weight, 0);
  const boxes = xs.flatMap((x, i) => {
    const y = ys[i]!;
    return x.held && y.held ? [{ x: x.held, y: y.held, weight: x.weight }] : [];
  });
  let best: Best = { x: 0.5, y: 0.5, kept: 0, asked };
  for (const x of new Set(boxes.map((b) => b.x.low))) {
    const here = boxes.filter((b) => b.x.low <= x && x <= b.x.high);
    for (const y of new Set(here.map((b) => b.y.low))) {
      const kept = here.reduce((sum, b) => (b.y.low <= y && y <= b.y.high ? sum + b.weight : sum), 0);
      if (kept > best.kept) best = { x, y, kept, asked };
    }
  }
  return best;
}

export interface PositionAnswer {
  x: AxisAnswer;
  y: AxisAnswer;
  best: Best;
}

/**
 * Where a picture can be held so that all keep areas are seen whole on all cases: closed forms, no search.
 * @returns `null` for a repeated picture, and without any keep area
 */
export function solvePosition(cases: readonly PlacedCase[], kind: AlignKind): PositionAnswer | null {
  if (cases.some((c) => isRepeated(c.placement))) return null;
  const asksAlong = (axis: Axis) => cases.flatMap((c) => c.keepAreas.map((k) => askOf(c, k, axis, kind)));
  const xs = asksAlong('x');
  const ys = asksAlong('y');
  if (xs.length === 0) return null;
  return { x: answerOf(xs), y: answerOf(ys), best: deepest(xs, ys) };
}
