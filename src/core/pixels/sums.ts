import type { Rect } from '../geometry/rect';
import type { Raster, Rgba } from './raster';

/**
 * Summed-area tables of the premultiplied channels and of alpha, so that the mean of any rectangle costs four reads a
 * channel. Source: Crow, “Summed-area tables for texture mapping”, 1984.
 */
export interface Sums {
  width: number;
  height: number;
  /** (width + 1) × (height + 1) corners of four numbers: the sums of everything left of and above each */
  table: Float64Array;
}

const CHANNELS = 4;

export function sumsOf({ width, height, data }: Raster): Sums {
  const stride = (width + 1) * CHANNELS;
  const table = new Float64Array(stride * (height + 1));
  const row = [0, 0, 0, 0];
  for (let y = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      const alpha = data[i + 3]! / 255;
      const at = (y + 1) * stride + (x + 1) * CHANNELS;
      for (let c = 0; c < CHANNELS; c++) {
        row[c]! += c < 3 ? data[i + c]! * alpha : alpha;
        table[at + c] = table[at + c - stride]! + row[c]!;
      }
    }
  }
  return { width, height, table };
}

/**
 * The sums from the corner of the picture to a point between pixels, written into four places of `out`: within a pixel
 * they grow evenly. A point outside counts as the nearest one inside.
 */
function upTo(sums: Sums, x: number, y: number, out: Float64Array, offset: number): void {
  const { width, height, table } = sums;
  const [cx, cy] = [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))];
  const [x0, y0] = [Math.min(Math.floor(cx), width - 1), Math.min(Math.floor(cy), height - 1)];
  const [fx, fy] = [cx - x0, cy - y0];
  const stride = (width + 1) * CHANNELS;
  const at = y0 * stride + x0 * CHANNELS;
  for (let c = at; c < at + CHANNELS; c++) {
    const top = table[c]! * (1 - fx) + table[c + CHANNELS]! * fx;
    const below = table[c + stride]! * (1 - fx) + table[c + stride + CHANNELS]! * fx;
    out[offset + c - at] = top * (1 - fy) + below * fy;
  }
}

/**
 * Premultiplied sums of a grid of rectangles, read at its corners only: four numbers each, row by row, the channels
 * 0..255 times alpha and alpha 0..1, in px² of the picture.
 * @param xs ascending lines between the columns, px of the picture; what lies outside of it adds nothing
 * @param ys the same between the rows
 */
export function sumsOnGrid(sums: Sums, xs: readonly number[], ys: readonly number[]): Float64Array {
  const columns = xs.length - 1;
  const rows = ys.length - 1;
  const out = new Float64Array(columns * rows * CHANNELS);
  let above = new Float64Array(xs.length * CHANNELS);
  let line = new Float64Array(xs.length * CHANNELS);
  for (let j = 0; j <= rows; j++) {
    for (let i = 0; i <= columns; i++) upTo(sums, xs[i]!, ys[j]!, line, i * CHANNELS);
    const row = (j - 1) * columns * CHANNELS;
    for (let k = 0; j > 0 && k < columns * CHANNELS; k++)
      out[row + k] = line[k + CHANNELS]! - line[k]! - above[k + CHANNELS]! + above[k]!;
    [above, line] = [line, above];
  }
  return out;
}

/**
 * The mean colour of a rectangle, weighted by alpha, and the mean alpha.
 * @param rect in px of the picture, also between pixels; what lies outside of the picture does not count
 * @returns `null` where nothing of the picture lies in the rectangle
 */
export function meanOf(sums: Sums, rect: Rect): Rgba | null {
  const x0 = Math.max(0, rect.x);
  const y0 = Math.max(0, rect.y);
  const x1 = Math.min(sums.width, rect.x + rect.width);
  const y1 = Math.min(sums.height, rect.y + rect.height);
  if (x1 <= x0 || y1 <= y0) return null;
  const [r, g, b, alpha] = sumsOnGrid(sums, [x0, x1], [y0, y1]) as unknown as [
    number,
    number,
    number,
    number,
  ];
  if (alpha <= 1e-9) return { r: 0, g: 0, b: 0, a: 0 };
  return { r: r / alpha, g: g / alpha, b: b / alpha, a: alpha / ((x1 - x0) * (y1 - y0)) };
}
