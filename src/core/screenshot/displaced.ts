import type { Rect, Side } from '../geometry/rect';
import { checkSameSize, type Raster } from '../pixels/raster';

/** Of one layer: what is seen with it and without it, and what a real screen showed; opaque, of one size. */
export interface Shown {
  whole: Raster;
  without: Raster;
  shot: Raster;
  /** 1 for each px that is not looked at, row by row */
  ignored: Uint8Array;
}

/** How far a layer lies from where it is ruled, px; positive to the right and down. */
export interface Displaced {
  x: number;
  y: number;
  /** how far each edge lies; `null` for one that is at the edge of the screen, or cannot be made out */
  edges: Record<Side, number | null>;
}

/** Levels by which a px differs at least where a layer is seen. */
const SEEN = 14;
/** One px of something altogether different is not worth more: so that what lies over a layer elsewhere does not decide. */
const MOST = 90;
/** Px that are looked at while searching; more say the same. */
const SAMPLES = 6000;
/** Px of a layer that have to be seen of it. */
const LEAST = 24;

type Point = { x: number; y: number };

/** How far two px lie apart, 0..MOST; of the second one also between two of its px. @param next how much of the px at `k` is in it */
function apart(one: Raster, i: number, two: Raster, j: number, next = 0, k = j): number {
  let sum = 0;
  for (let c = 0; c < 3; c++) {
    const at = two.data[j * 4 + c]!;
    const seen = next === 0 ? at : at + next * (two.data[k * 4 + c]! - at);
    sum += Math.abs(one.data[i * 4 + c]! - seen);
  }
  return Math.min(sum / 3, MOST);
}

/** Where a layer is seen: 1 for each px. */
function footprint({ whole, without, ignored }: Shown): Uint8Array {
  const is = new Uint8Array(ignored.length);
  for (let i = 0; i < is.length; i++) if (apart(whole, i, without, i) * 3 >= SEEN) is[i] = 1;
  return is;
}

/** The smallest rectangle around px, px. */
function around(is: Uint8Array, width: number): Rect {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  is.forEach((seen, i) => {
    if (!seen) return;
    const [x, y] = [i % width, Math.floor(i / width)];
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  });
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}

/** Evenly many of the px that are seen and looked at. */
function sampled(is: Uint8Array, ignored: Uint8Array): number[] {
  const px: number[] = [];
  for (let i = 0; i < is.length; i++) if (is[i] && !ignored[i]) px.push(i);
  const step = Math.max(1, Math.floor(px.length / SAMPLES));
  return step === 1 ? px : px.filter((_, n) => n % step === 0);
}

/** A place of a screenshot that may lie between px: its px, the next one, and how much of that is in it. */
interface Between {
  j: number;
  k: number;
  next: number;
}

/** @returns `null` beyond the edge, or where it is not looked at */
function placeIn({ shot: { width, height }, ignored }: Shown, x: number, y: number): Between | null {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  if (left < 0 || top < 0 || left >= width || top >= height) return null;
  const j = top * width + left;
  const isAcross = x !== left;
  const next = isAcross ? x - left : y - top;
  const k = next === 0 ? j : isAcross ? j + 1 : j + width;
  const isOut = next !== 0 && (isAcross ? left + 1 >= width : top + 1 >= height);
  return isOut || ignored[j] || ignored[k] ? null : { j, k, next };
}

/**
 * How much worse a screenshot is explained with the layer shifted than without it; the lower, the better. What the layer then
 * no longer covers is as it is without it, so that only the px count on which it comes to lie.
 * @param by whole px along one axis at least
 */
function costAt(shown: Shown, px: readonly number[], by: Point): number {
  const { whole, without, shot } = shown;
  const { width } = whole;
  let cost = 0;
  for (const i of px) {
    const at = placeIn(shown, (i % width) + by.x, Math.floor(i / width) + by.y);
    if (at) cost += apart(whole, i, shot, at.j, at.next, at.k) - apart(without, at.j, shot, at.j);
  }
  return cost;
}

/** The whole px to which a cost is least, within a reach of a start. */
function search(cost: (by: Point) => number, from: Point, reach: number, step: number): Point {
  let best = { by: from, cost: cost(from) };
  for (let dy = -reach; dy <= reach; dy += step)
    for (let dx = -reach; dx <= reach; dx += step) {
      const by = { x: from.x + dx, y: from.y + dy };
      const found = cost(by);
      // Of equals the one that is moved less.
      if (found < best.cost - 1e-9) best = { by, cost: found };
    }
  return best.by;
}

/** To so many parts of a px it is said where something lies. */
const PARTS = 4;

/** Where along an axis a cost is least, to a quarter of a px around a whole one. */
function refined(cost: (at: number) => number, whole: number): number {
  let best = { at: whole, cost: cost(whole) };
  for (let part = 1 - PARTS; part < PARTS; part++) {
    const at = whole + part / PARTS;
    const found = part === 0 ? Infinity : cost(at);
    if (found < best.cost - 1e-9) best = { at, cost: found };
  }
  return best.at;
}

/** Px to both sides of an edge that are looked at, and how far it is searched. */
const BAND = 14;
const EDGE_REACH = 8;

/** The band along an edge: what is near it, inside and outside of the layer. */
function bandOf(side: Side, { x, y, width, height }: Rect): Rect {
  const isAcross = side === 'left' || side === 'right';
  const inner = Math.max(2, Math.min(BAND, Math.floor((isAcross ? width : height) / 3)));
  const outer = EDGE_REACH + 2;
  const isStart = side === 'left' || side === 'top';
  if (isAcross) return { x: isStart ? x - outer : x + width - inner, y, width: inner + outer, height };
  return { x, y: isStart ? y - outer : y + height - inner, width, height: inner + outer };
}

/** How well a band of a screenshot is explained with the layer shifted: the mean over its px; Infinity where half of it is not looked at. */
function bandCost(shown: Shown, is: Uint8Array, band: Rect, by: Point): number {
  const { whole, without, shot } = shown;
  const { width, height } = whole;
  let cost = 0;
  let looked = 0;
  for (let y = band.y; y < band.y + band.height; y++)
    for (let x = band.x; x < band.x + band.width; x++) {
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      const at = placeIn(shown, x + by.x, y + by.y);
      if (!at) continue;
      const i = y * width + x;
      looked++;
      cost += is[i]
        ? apart(whole, i, shot, at.j, at.next, at.k)
        : apart(without, at.j, shot, at.j, at.next, at.k);
    }
  return looked * 2 < band.width * band.height ? Infinity : cost / looked;
}

/** How far one edge lies from where it is ruled; `null` where it is that of the screen, or not looked at. */
function edgeAt(shown: Shown, is: Uint8Array, box: Rect, side: Side, off: Point): number | null {
  const { width, height } = shown.whole;
  const isAtScreen: Record<Side, boolean> = {
    left: box.x <= 0,
    top: box.y <= 0,
    right: box.x + box.width >= width,
    bottom: box.y + box.height >= height,
  };
  if (isAtScreen[side]) return null;
  const band = bandOf(side, box);
  const isAcross = side === 'left' || side === 'right';
  const cost = (n: number) => bandCost(shown, is, band, isAcross ? { x: n, y: off.y } : { x: off.x, y: n });
  const middle = isAcross ? off.x : off.y;
  let best = { at: middle, cost: cost(middle) };
  for (let n = middle - EDGE_REACH; n <= middle + EDGE_REACH; n++) {
    const found = cost(n);
    if (found < best.cost - 1e-9) best = { at: n, cost: found };
  }
  return best.cost === Infinity ? null : refined(cost, best.at);
}

/** The middle of two edges, where both are known. */
const middleOf = (one: number | null, two: number | null): number | null =>
  one === null || two === null ? null : (one + two) / 2;

/**
 * How far a layer lies in a screenshot from where it is drawn, by what explains its px best: the layer, shifted, over what is seen
 * without it.
 * @param reach how far it is searched, px
 * @returns to a quarter of a px; `null` where too little of it is seen
 * @throws RangeError for rasters of several sizes
 */
export function displaced(shown: Shown, reach: number): Displaced | null {
  const { whole, without, shot, ignored } = shown;
  checkSameSize(whole, without);
  checkSameSize(whole, shot);
  const is = footprint(shown);
  const px = sampled(is, ignored);
  if (px.length < LEAST) return null;
  const cost = (by: Point) => costAt(shown, px, by);
  const near = search(cost, search(cost, { x: 0, y: 0 }, reach, 4), 4, 1);
  const box = around(is, whole.width);
  const edgeOf = (side: Side) => edgeAt(shown, is, box, side, near);
  const edges = {
    left: edgeOf('left'),
    right: edgeOf('right'),
    top: edgeOf('top'),
    bottom: edgeOf('bottom'),
  };
  // Edges are sharper than what lies between them.
  return {
    x: middleOf(edges.left, edges.right) ?? refined((x) => cost({ x, y: near.y }), near.x),
    y: middleOf(edges.top, edges.bottom) ?? refined((y) => cost({ x: near.x, y }), near.y),
    edges,
  };
}
