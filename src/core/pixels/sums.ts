import type { Rect } from '../geometry/rect';
import type { Raster, Rgba } from './raster';

/**
 * Summed-area tables of the premultiplied channels and of alpha, so that the mean of any rectangle costs four reads a
 * channel. Source: Crow, “Summed-area tables for texture mapping”, 1984.
 *
 * Reading them is waiting for memory, so they are whole numbers of half the size: each pixel is rounded to as fine a
 * part of a step as the sum of all of them leaves room for, in a picture of 2^17 pixels to 1/128.
 */
export interface Sums {
  width: number;
  height: number;
  /** (width + 1) × (height + 1) corners of four numbers: the sums of everything left of and above each, in parts */
  table: Uint32Array;
  /** parts in a step of a channel, and in an alpha of 1 */
  parts: { channel: number; alpha: number };
}

const CHANNELS = 4;
const MOST = 2 ** 32 - 1;

export function sumsOf({ width, height, data }: Raster): Sums {
  const stride = (width + 1) * CHANNELS;
  const table = new Uint32Array(stride * (height + 1));
  const pixels = width * height;
  const parts = { channel: Math.floor(MOST / (255 * pixels)), alpha: Math.floor(MOST / pixels) };
  const row = [0, 0, 0, 0];
  for (let y = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      const alpha = data[i + 3]! / 255;
      const at = (y + 1) * stride + (x + 1) * CHANNELS;
      for (let c = 0; c < CHANNELS; c++) {
        row[c]! += Math.round(c < 3 ? data[i + c]! * alpha * parts.channel : alpha * parts.alpha);
        table[at + c] = table[at + c - stride]! + row[c]!;
      }
    }
  }
  return { width, height, table, parts };
}

/**
 * What a grid needs while it is read. Grids are read by the thousand, and making room for each takes longer than reading
 * it, so the room is used again.
 */
const room = {
  /** of each line between columns: where its pixel starts in a row of the table, and how far into the pixel it is, 0..1 */
  at: new Int32Array(0),
  share: new Float64Array(0),
  above: new Float64Array(0),
  line: new Float64Array(0),
};
function makeRoom(lines: number): void {
  if (room.at.length >= lines) return;
  room.at = new Int32Array(lines);
  room.share = new Float64Array(lines);
  room.above = new Float64Array(lines * CHANNELS);
  room.line = new Float64Array(lines * CHANNELS);
}

const within = (line: number, size: number) => Math.max(0, Math.min(size, line));
/** The pixel that a line runs through. */
const pixelAt = (line: number, size: number) => Math.min(Math.floor(line), size - 1);

/** The sums from the corner of the picture to the points of a row of a grid: within a pixel they grow evenly. */
function readRow({ width, height, table }: Sums, lines: number, y: number, out: Float64Array): void {
  const { at, share } = room;
  const stride = (width + 1) * CHANNELS;
  const down = within(y, height);
  const row = pixelAt(down, height);
  const fy = down - row;
  for (let i = 0; i < lines; i++) {
    const fx = share[i]!;
    const p = row * stride + at[i]!;
    const q = p + stride;
    // How much each of the four corners of the pixel counts. Written out, the four channels take half as long.
    const a = (1 - fx) * (1 - fy);
    const b = fx * (1 - fy);
    const c = (1 - fx) * fy;
    const d = fx * fy;
    const o = i * CHANNELS;
    out[o] = table[p]! * a + table[p + 4]! * b + table[q]! * c + table[q + 4]! * d;
    out[o + 1] = table[p + 1]! * a + table[p + 5]! * b + table[q + 1]! * c + table[q + 5]! * d;
    out[o + 2] = table[p + 2]! * a + table[p + 6]! * b + table[q + 2]! * c + table[q + 6]! * d;
    out[o + 3] = table[p + 3]! * a + table[p + 7]! * b + table[q + 3]! * c + table[q + 7]! * d;
  }
}

/**
 * Premultiplied sums of a grid of rectangles, read at its corners only: four numbers each, row by row, the channels
 * 0..255 times alpha and alpha 0..1, in px² of the picture.
 * @param xs ascending lines between the columns, px of the picture; what lies outside of it adds nothing
 * @param ys the same between the rows
 * @param out four numbers for each rectangle
 */
export function sumsOnGrid(
  sums: Sums,
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  out: Float64Array = new Float64Array((xs.length - 1) * (ys.length - 1) * CHANNELS),
): Float64Array {
  const lines = xs.length;
  makeRoom(lines);
  for (let i = 0; i < lines; i++) {
    const x = within(xs[i]!, sums.width);
    const pixel = pixelAt(x, sums.width);
    room.at[i] = pixel * CHANNELS;
    room.share[i] = x - pixel;
  }
  let { above, line } = room;
  const across = (lines - 1) * CHANNELS;
  const channel = 1 / sums.parts.channel;
  const alpha = 1 / sums.parts.alpha;
  for (let j = 0; j < ys.length; j++) {
    readRow(sums, lines, ys[j]!, line);
    const row = (j - 1) * across;
    for (let k = 0; j > 0 && k < across; k += CHANNELS) {
      const o = row + k;
      out[o] = (line[k + 4]! - line[k]! - above[k + 4]! + above[k]!) * channel;
      out[o + 1] = (line[k + 5]! - line[k + 1]! - above[k + 5]! + above[k + 1]!) * channel;
      out[o + 2] = (line[k + 6]! - line[k + 2]! - above[k + 6]! + above[k + 2]!) * channel;
      out[o + 3] = (line[k + 7]! - line[k + 3]! - above[k + 7]! + above[k + 3]!) * alpha;
    }
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
