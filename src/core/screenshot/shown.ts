import { centreOf, type Rect } from '../geometry/rect';
import { checkSameSize, type Raster } from '../pixels/raster';

// Taken out of their global once: they are called for each px of each place.
const { abs, floor } = Math;

/** Of one layer: what is seen with it and without it, and what a real screen showed; opaque, of one size. */
export interface Shown {
  whole: Raster;
  without: Raster;
  shot: Raster;
  /** 1 for each px that is not looked at, row by row */
  ignored: Uint8Array;
}

export interface Point {
  x: number;
  y: number;
}

/** One px of something altogether different is not worth more levels than this. */
export const MOST_APART = 90;

/** Levels by which a px differs at least where a layer is seen, over three channels. */
const SEEN = 14;
/** Px that are looked at while searching; more say the same. */
const SAMPLES = 4000;

/**
 * How far a px of a screenshot is from a layer that was drawn over one place and has come to lie over another: what is seen through
 * it is that of the other place. Mean over the channels, 0..255.
 * @param i px of the drawing @param at where it comes to lie @param through how much is seen through the layer
 */
export function apartMoved({ whole, without, shot }: Shown, i: number, at: Between, through: number): number {
  if (through === 0) return apart(whole, i, shot, at.j, at.next, at.k);
  let sum = 0;
  for (let c = 0; c < 3; c++) {
    const one = shot.data[at.j * 4 + c]!;
    const seen = at.next === 0 ? one : one + at.next * (shot.data[at.k * 4 + c]! - one);
    const under = without.data[at.j * 4 + c]! - without.data[i * 4 + c]!;
    sum += abs(whole.data[i * 4 + c]! + through * under - seen);
  }
  return sum / 3;
}

/** Mean difference of two px over their channels, 0..255. @param next how much of the px at `k` is in the second one, 0..1 */
export function apart(one: Raster, i: number, two: Raster, j: number, next = 0, k = j): number {
  let sum = 0;
  for (let c = 0; c < 3; c++) {
    const at = two.data[j * 4 + c]!;
    const seen = next === 0 ? at : at + next * (two.data[k * 4 + c]! - at);
    sum += abs(one.data[i * 4 + c]! - seen);
  }
  return sum / 3;
}

/** What is seen of a layer in its drawing. */
export interface Footprint {
  /** 1 for each px that it changes, row by row */
  is: Uint8Array;
  /** number of these */
  count: number;
  /** the smallest rectangle around them, px */
  box: Rect;
  /** of that, about which the layer is scaled */
  middle: Point;
  /** evenly many of those that are looked at */
  px: number[];
  /** how many of them are looked at */
  looked: number;
  /** how much of what lies under it is seen through it, 0..1 */
  through: number;
}

function around(is: Uint8Array, width: number): Rect {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < is.length; i++) {
    if (!is[i]) continue;
    const x = i % width;
    const y = (i - x) / width;
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < top) top = y;
    if (y > bottom) bottom = y;
  }
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}

/** Evenly some of the px that are set. */
export function thinned(px: readonly number[], most = SAMPLES): number[] {
  const step = Math.max(1, Math.ceil(px.length / most));
  return step === 1 ? [...px] : px.filter((_, n) => n % step === 0);
}

/** @throws RangeError for rasters of several sizes */
export function footprintOf(shown: Shown): Footprint {
  const { whole, without, shot, ignored } = shown;
  checkSameSize(whole, without);
  checkSameSize(whole, shot);
  const is = new Uint8Array(ignored.length);
  const looked: number[] = [];
  let count = 0;
  for (let i = 0; i < is.length; i++) {
    if (apart(whole, i, without, i) * 3 < SEEN) continue;
    is[i] = 1;
    count++;
    if (!ignored[i]) looked.push(i);
  }
  const px = thinned(looked);
  const through = throughOf(shown, px);
  const box = around(is, whole.width);
  return { is, count, box, middle: centreOf(box), px, looked: looked.length, through };
}

/** A place of a screenshot that may lie between px along one axis: its px, the next one, and how much of that is in it. */
export interface Between {
  j: number;
  k: number;
  next: number;
}

/** @returns `null` beyond the edge */
export function placeIn({ width, height }: Raster, x: number, y: number): Between | null {
  const left = floor(x);
  const top = floor(y);
  if (left < 0 || top < 0 || left >= width || top >= height) return null;
  const j = top * width + left;
  const isAcross = x !== left;
  const next = isAcross ? x - left : y - top;
  if (next === 0) return { j, k: j, next };
  if (isAcross ? left + 1 >= width : top + 1 >= height) return null;
  return { j, k: isAcross ? j + 1 : j + width, next };
}

/** A layer lets through what lies under it where that says so much of what is seen, 0..1. */
const TOLD = 0.8;

/**
 * How much of what lies under a layer is seen through it, 0..1: by how much what is seen with it goes along with what is seen without
 * it. 0 of one that is opaque, or whose own drawing says more.
 */
export function throughOf({ whole, without }: Shown, px: readonly number[]): number {
  const channels = [0, 1, 2].map((c) => {
    let [n, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
    for (const i of px) {
      const [w, s] = [without.data[i * 4 + c]!, whole.data[i * 4 + c]!];
      n++;
      x += w;
      y += s;
      xx += w * w;
      xy += w * s;
      yy += s * s;
    }
    const [varX, varY, cov] = [xx - (x * x) / n, yy - (y * y) / n, xy - (x * y) / n];
    const isTold = varX > n && varY > n && (cov * cov) / (varX * varY) > TOLD;
    return isTold ? Math.max(0, Math.min(1, cov / varX)) : 0;
  });
  return channels.reduce((sum, v) => sum + v, 0) / channels.length;
}

/** Whether one of so many px to each side belongs to a layer. */
function isNear(
  { is }: Footprint,
  { width, height }: Raster,
  at: Point,
  wide: number,
  step: number,
): boolean {
  for (let dy = -wide; dy <= wide; dy += step)
    for (let dx = -wide; dx <= wide; dx += step) {
      const [x, y] = [at.x + dx, at.y + dy];
      if (x >= 0 && y >= 0 && x < width && y < height && is[y * width + x]) return true;
    }
  return false;
}

/**
 * Px around a layer, not of it, within so many px of its edges: what has to be as it is without it for its shape to be seen.
 * @param step only each so manyth px each way, which is enough to tell whether it is there
 * @param gap px next to its edges that are left out
 */
export function ringOf(footprint: Footprint, raster: Raster, wide: number, step = 3, gap = 0): number[] {
  const { is, box } = footprint;
  const { width, height } = raster;
  const ring: number[] = [];
  const [x0, y0] = [Math.max(0, box.x - wide), Math.max(0, box.y - wide)];
  const [x1, y1] = [Math.min(width, box.x + box.width + wide), Math.min(height, box.y + box.height + wide)];
  for (let y = y0; y < y1; y += step)
    for (let x = x0; x < x1; x += step) {
      if (is[y * width + x] || !isNear(footprint, raster, { x, y }, wide, step)) continue;
      if (gap === 0 || !isNear(footprint, raster, { x, y }, gap, 1)) ring.push(y * width + x);
    }
  return thinned(ring);
}
