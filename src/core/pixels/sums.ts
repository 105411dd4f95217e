import type { Rect } from '../geometry/rect';
import type { Raster, Rgba } from './raster';

/**
 * Summed-area tables of the premultiplied channels and of alpha, so that the mean of any rectangle costs four reads a
 * table. Source: Crow, “Summed-area tables for texture mapping”, 1984.
 */
export interface Sums {
  width: number;
  height: number;
  /** (width + 1) × (height + 1) each: the sum of everything left of and above a corner */
  tables: { r: Float64Array; g: Float64Array; b: Float64Array; a: Float64Array };
}

const CHANNELS = ['r', 'g', 'b', 'a'] as const;

export function sumsOf({ width, height, data }: Raster): Sums {
  const stride = width + 1;
  const size = stride * (height + 1);
  const table = () => new Float64Array(size);
  const tables = { r: table(), g: table(), b: table(), a: table() };
  const row = [0, 0, 0, 0];
  for (let y = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      const alpha = data[i + 3]! / 255;
      const at = (y + 1) * stride + x + 1;
      for (let c = 0; c < 4; c++) {
        row[c]! += c < 3 ? data[i + c]! * alpha : alpha;
        tables[CHANNELS[c]!][at] = tables[CHANNELS[c]!][at - stride]! + row[c]!;
      }
    }
  }
  return { width, height, tables };
}

/** The sum from the corner of the picture to a point between pixels: within a pixel it grows evenly. */
function upTo({ width, height }: Sums, table: Float64Array, x: number, y: number): number {
  const stride = width + 1;
  const [x0, y0] = [Math.min(Math.floor(x), width - 1), Math.min(Math.floor(y), height - 1)];
  const [fx, fy] = [x - x0, y - y0];
  const at = y0 * stride + x0;
  const top = table[at]! * (1 - fx) + table[at + 1]! * fx;
  const below = table[at + stride]! * (1 - fx) + table[at + stride + 1]! * fx;
  return top * (1 - fy) + below * fy;
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
  const sum = (table: Float64Array) =>
    upTo(sums, table, x1, y1) -
    upTo(sums, table, x0, y1) -
    upTo(sums, table, x1, y0) +
    upTo(sums, table, x0, y0);
  const alpha = sum(sums.tables.a);
  const area = (x1 - x0) * (y1 - y0);
  if (alpha <= 1e-9) return { r: 0, g: 0, b: 0, a: 0 };
  const channel = (c: 'r' | 'g' | 'b') => sum(sums.tables[c]) / alpha;
  return { r: channel('r'), g: channel('g'), b: channel('b'), a: alpha / area };
}
