import { apart, apartMoved, MOST_APART, placeIn, type Footprint, type Point, type Shown } from './shown';

// Taken out of their global once: they are called for each px of each place.
const { min, max, round } = Math;

/** Levels up to which a px counts as explained: noise of encoders, and edges that lie between px. */
const EXPLAINED = 26;

/** A place for a layer, in px of the screenshot: shifted, and drawn at a scale about the middle of what is seen of it. */
export interface Pose {
  by: Point;
  scale: number;
}

/** What of a layer is held against a screenshot. */
export type Held = Pick<Footprint, 'px' | 'middle' | 'through'>;

/** How well a layer at a place explains a screenshot. */
export interface Support {
  /** whether the layer explains it, +1, or its absence, −1; over the px that one of both explains */
  says: number;
  /** share of the px, by how much the layer changes them, that one of both explains, 0..1 */
  explained: number;
  /**
   * what is worse with the layer there than without it, in the mean of all its px, levels; the lower, the better. What leaves the
   * screen says neither, so that nothing is gained by pushing what does not fit over an edge
   */
  cost: number;
  /** share of its px that are looked at, 0..1: the others lie under what is above it */
  looked: number;
  /**
   * the same where more than a little counts as a little: for places that lie a few px apart, of which what covers a part of it
   * says nothing
   */
  fineCost: number;
}

const NOTHING: Support = { says: -1, explained: 0, cost: Infinity, fineCost: Infinity, looked: 0 };

/** Where a px of the drawing comes to lie. */
export const posed = (x: number, y: number, { by, scale }: Pose, middle: Point): Point =>
  scale === 1
    ? { x: x + by.x, y: y + by.y }
    : {
        x: round(middle.x + (x - middle.x) * scale + by.x),
        y: round(middle.y + (y - middle.y) * scale + by.y),
      };

/**
 * Holds the case with a layer at a place, and the case without it, against a screenshot, over the px that the layer would change.
 * Those that leave the screen count as unexplained.
 */
export function supportOf(shown: Shown, { px, middle, through }: Held, pose: Pose): Support {
  const { whole, without, shot, ignored } = shown;
  const { width } = whole;
  let says = 0;
  let weighed = 0;
  let all = 0;
  let cost = 0;
  let fine = 0;
  let count = 0;
  let looked = 0;
  for (const i of px) {
    const x = i % width;
    const to = posed(x, (i - x) / width, pose, middle);
    const at = placeIn(shot, to.x, to.y);
    const contrast = at ? apart(whole, i, without, at.j) : apart(whole, i, without, i);
    if (at && (ignored[at.j] || ignored[at.k])) continue;
    const weight = contrast * contrast;
    all += weight;
    looked++;
    if (!at) continue;
    count++;
    const withIt = apartMoved(shown, i, at, through);
    const withoutIt = apart(without, at.j, shot, at.j, at.next, at.k);
    cost += min(withIt, MOST_APART) - min(withoutIt, MOST_APART);
    fine += min(withIt, EXPLAINED) - min(withoutIt, EXPLAINED);
    if (withIt > EXPLAINED && withoutIt > EXPLAINED) continue;
    says += withoutIt * withoutIt - withIt * withIt;
    weighed += weight;
  }
  if (count === 0 || all === 0) return NOTHING;
  return {
    says: weighed === 0 ? -1 : max(-1, min(1, says / weighed)),
    explained: weighed / all,
    // Where most of it would lie beyond the screen nothing says that it does.
    looked: looked / px.length,
    cost: count * 2 < looked ? Infinity : cost / looked,
    fineCost: count * 2 < looked ? Infinity : fine / looked,
  };
}

/** Levels within which a px is taken for the very colour that the layer has there. */
const SAME = 12;

/** Share of the px of a layer at a shift that are as it draws them, and not as its absence leaves them, 0..1. */
export function seenAlike(shown: Shown, { px, through }: Held, by: Point): number {
  const { whole, without, shot, ignored } = shown;
  const { width } = whole;
  let alike = 0;
  for (const i of px) {
    const x = i % width;
    const at = placeIn(shot, x + by.x, (i - x) / width + by.y);
    if (!at || ignored[at.j] || apart(without, at.j, shot, at.j) <= SAME) continue;
    if (apartMoved(shown, i, at, through) <= SAME) alike++;
  }
  return alike / px.length;
}

/** Share of px around a layer at a place that are as they are without it, 0..1; `null` where there are none. */
export function aroundAsWithout(
  shown: Shown,
  ring: readonly number[],
  pose: Pose,
  middle: Point,
): number | null {
  const { without, shot, ignored } = shown;
  const { width } = without;
  let [same, count] = [0, 0];
  for (const i of ring) {
    const x = i % width;
    const to = posed(x, (i - x) / width, pose, middle);
    const at = placeIn(shot, round(to.x), round(to.y));
    if (!at || ignored[at.j]) continue;
    count++;
    if (apart(without, at.j, shot, at.j) <= EXPLAINED) same++;
  }
  return count === 0 ? null : same / count;
}

/** A layer is there where it explains clearly more than its absence, over enough of it, and ends where it should. */
const THERE = { says: 0.25, explained: 0.3, around: 0.3 };
/** One that has no end on the screen has to be explained better, as any screen of about its colours would do. */
const OVER_SCREEN = { says: 0.5, explained: 0.35 };

/** @param around share of what is around it that is as it is without it, 0..1; `null` where nothing is around it */
export const isThere = ({ says, explained }: Support, around: number | null): boolean =>
  around === null
    ? says >= OVER_SCREEN.says && explained >= OVER_SCREEN.explained
    : says >= THERE.says && explained >= THERE.explained && around >= THERE.around;

/** Px to both sides between which what a layer draws goes up or down, by so many levels at least. */
const STRIDE = 8;
const STEP = 16;
/** As few of them say nothing. */
const FEW = 40;

/**
 * Share of the places at which a layer goes up or down over a few px where a screenshot does so too, 0..1; 1 of one that has hardly
 * any. It tells a photo that fills the screen from another screen of about its colours.
 */
export function drawnAlike({ whole, shot, ignored }: Shown, px: readonly number[], by: Point): number {
  const { width, height } = whole;
  const luma = ({ data }: Shown['shot'], i: number) =>
    (data[i * 4]! + data[i * 4 + 1]! + data[i * 4 + 2]!) / 3;
  let [alike, count] = [0, 0];
  for (const i of px) {
    const x = i % width;
    const y = (i - x) / width;
    for (const [dx, dy] of [
      [STRIDE, 0],
      [0, STRIDE],
    ] as const) {
      if (x + dx >= width || y + dy >= height) continue;
      const goes = luma(whole, i + dy * width + dx) - luma(whole, i);
      if (goes < STEP && goes > -STEP) continue;
      const [sx, sy] = [x + round(by.x), y + round(by.y)];
      if (sx < 0 || sy < 0 || sx + dx >= width || sy + dy >= height) continue;
      const [from, to] = [sy * width + sx, (sy + dy) * width + sx + dx];
      if (ignored[from] || ignored[to]) continue;
      count++;
      const off = luma(shot, to) - luma(shot, from) - goes;
      if (off * off < goes * goes * 0.25) alike++;
    }
  }
  return count < FEW ? 1 : alike / count;
}
