import type { Rect } from '../geometry/rect';
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

/** Levels by which a px differs at least where a layer is seen, over three channels. */
const SEEN = 14;
/** Px that are looked at while searching; more say the same. */
const SAMPLES = 4000;

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
  /** evenly many of those that are looked at */
  px: number[];
  /** how many of them are looked at */
  looked: number;
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
export function footprintOf({ whole, without, shot, ignored }: Shown): Footprint {
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
  return { is, count, box: around(is, whole.width), px: thinned(looked), looked: looked.length };
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

/** Px around a layer, not of it, within so many px of its edges: what has to be as it is without it for its shape to be seen. */
export function ringOf({ is, box }: Footprint, { width, height }: Raster, wide: number): number[] {
  const ring: number[] = [];
  const [x0, y0] = [Math.max(0, box.x - wide), Math.max(0, box.y - wide)];
  const [x1, y1] = [Math.min(width, box.x + box.width + wide), Math.min(height, box.y + box.height + wide)];
  const step = 3;
  const isNear = (x: number, y: number) => {
    for (let dy = -wide; dy <= wide; dy += step)
      for (let dx = -wide; dx <= wide; dx += step) {
        const [nx, ny] = [x + dx, y + dy];
        if (nx >= 0 && ny >= 0 && nx < width && ny < height && is[ny * width + nx]) return true;
      }
    return false;
  };
  // Every third px each way is enough to tell.
  for (let y = y0; y < y1; y += step)
    for (let x = x0; x < x1; x += step) if (!is[y * width + x] && isNear(x, y)) ring.push(y * width + x);
  return thinned(ring);
}
