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
  /** (width + 1) × (height + 1) corners of three numbers: the sums of everything left of and above each, in parts */
  colour: Uint32Array;
  /** the same of alpha, one number a corner; `null` of an opaque picture */
  alpha: Uint32Array | null;
  /** parts in a step of a channel, and in an alpha of 1 */
  parts: { channel: number; alpha: number };
}

const COLOURS = 3;
const MOST = 2 ** 32 - 1;

/** @param valueOf of a pixel, by where its four bytes start; a whole number of parts */
function tableOf(
  { width, height }: Raster,
  channels: number,
  valueOf: (at: number, channel: number) => number,
): Uint32Array {
  const stride = (width + 1) * channels;
  const table = new Uint32Array(stride * (height + 1));
  const row = new Float64Array(channels);
  for (let y = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0; x < width; x++) {
      const at = (y + 1) * stride + (x + 1) * channels;
      for (let c = 0; c < channels; c++) {
        row[c]! += valueOf((y * width + x) * 4, c);
        table[at + c] = table[at + c - stride]! + row[c]!;
      }
    }
  }
  return table;
}

export function sumsOf(raster: Raster): Sums {
  const { width, height, data } = raster;
  const pixels = width * height;
  const parts = { channel: Math.floor(MOST / (255 * pixels)), alpha: Math.floor(MOST / pixels) };
  const share = (at: number) => data[at + 3]! / 255;
  let opaque = true;
  for (let at = 0; at < pixels * 4 && opaque; at += 4) opaque = data[at + 3] === 255;
  return {
    width,
    height,
    colour: tableOf(raster, COLOURS, (at, c) => Math.round(data[at + c]! * share(at) * parts.channel)),
    alpha: opaque ? null : tableOf(raster, 1, (at) => Math.round(share(at) * parts.alpha)),
    parts,
  };
}

/** Premultiplied sums of a grid of rectangles, row by row: the channels 0..255 times alpha, and alpha 0..1, times px². */
export interface GridSums {
  /** three numbers for each rectangle */
  colour: Float64Array;
  alpha: Float64Array;
}

/** Room for the sums of a grid. */
export const gridSums = (count: number): GridSums => ({
  colour: new Float64Array(count * COLOURS),
  alpha: new Float64Array(count),
});

/**
 * What a grid needs while it is read. Grids are read by the thousand, and making room for each takes longer than reading
 * it, so the room is used again.
 */
const room = {
  /** of each line between columns: the pixel that it runs through, and how far into the pixel it is, 0..1 */
  pixel: new Int32Array(0),
  share: new Float64Array(0),
  /** sums of what lies between two lines, in the rows of corners above and below a line between rows, and down to the last such line */
  above: new Float64Array(0),
  below: new Float64Array(0),
  last: new Float64Array(0),
};
function makeRoom(lines: number): void {
  if (room.pixel.length >= lines) return;
  room.pixel = new Int32Array(lines);
  room.share = new Float64Array(lines);
  for (const part of ['above', 'below', 'last'] as const) room[part] = new Float64Array(lines * COLOURS);
}

const within = (line: number, size: number) => Math.max(0, Math.min(size, line));
/** The pixel that a line runs through. */
const pixelAt = (line: number, size: number) => Math.min(Math.floor(line), size - 1);

/** Reads one row of corners: the sums between each two lines. Within a pixel they grow evenly. */
type ReadRow = (table: Uint32Array, row: number, stride: number, lines: number, out: Float64Array) => void;

/** Written out, the three channels take half as long. */
const readColours: ReadRow = (table, row, stride, lines, out) => {
  const { pixel, share } = room;
  const start = (row * stride * COLOURS) | 0;
  const p0 = (start + pixel[0]! * 3) | 0;
  const f0 = share[0]!;
  let r = table[p0]! + (table[p0 + 3]! - table[p0]!) * f0;
  let g = table[p0 + 1]! + (table[p0 + 4]! - table[p0 + 1]!) * f0;
  let b = table[p0 + 2]! + (table[p0 + 5]! - table[p0 + 2]!) * f0;
  for (let i = 1, o = 0; i < lines; i++, o += COLOURS) {
    const p = (start + pixel[i]! * COLOURS) | 0;
    const f = share[i]!;
    const r1 = table[p]! + (table[p + 3]! - table[p]!) * f;
    const g1 = table[p + 1]! + (table[p + 4]! - table[p + 1]!) * f;
    const b1 = table[p + 2]! + (table[p + 5]! - table[p + 2]!) * f;
    out[o] = r1 - r;
    out[o + 1] = g1 - g;
    out[o + 2] = b1 - b;
    r = r1;
    g = g1;
    b = b1;
  }
};

const readAlpha: ReadRow = (table, row, stride, lines, out) => {
  const { pixel, share } = room;
  const start = row * stride;
  let before = 0;
  for (let i = 0; i < lines; i++) {
    const p = start + pixel[i]!;
    const value = table[p]! + (table[p + 1]! - table[p]!) * share[i]!;
    if (i > 0) out[i - 1] = value - before;
    before = value;
  }
};

/** @param across numbers in a row of the grid; @param factor by which each is multiplied */
function readGrid(
  { width, height }: Sums,
  table: Uint32Array,
  read: ReadRow,
  lines: number,
  ys: ArrayLike<number>,
  across: number,
  factor: number,
  out: Float64Array,
): void {
  const stride = width + 1;
  const { last } = room;
  let { above, below } = room;
  // Lines that lie close share their rows of corners, which need not be read again.
  let known = -2;
  for (let j = 0; j < ys.length; j++) {
    const y = within(ys[j]!, height);
    const row = pixelAt(y, height);
    if (row === known + 1) [above, below] = [below, above];
    else if (row !== known) read(table, row, stride, lines, above);
    if (row !== known) read(table, row + 1, stride, lines, below);
    known = row;
    const f = y - row;
    const o = (j - 1) * across;
    if (j === 0)
      for (let k = 0; k < across; k++) last[k] = (above[k]! + (below[k]! - above[k]!) * f) * factor;
    else
      for (let k = 0; k < across; k++) {
        const sum = (above[k]! + (below[k]! - above[k]!) * f) * factor;
        out[o + k] = sum - last[k]!;
        last[k] = sum;
      }
  }
}

/** Of an opaque picture alpha is how much of a rectangle lies on it. */
function fillAlpha(
  { width, height }: Sums,
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  scale: number,
  out: Float64Array,
): void {
  for (let j = 0, o = 0; j < ys.length - 1; j++) {
    const down = (within(ys[j + 1]!, height) - within(ys[j]!, height)) * scale;
    for (let i = 0; i < xs.length - 1; i++, o++)
      out[o] = (within(xs[i + 1]!, width) - within(xs[i]!, width)) * down;
  }
}

/**
 * The sums of a grid of rectangles, read at its corners only.
 * @param xs ascending lines between the columns, px of the picture; what lies outside of it adds nothing
 * @param ys the same between the rows
 * @param scale by which every sum is multiplied
 * @param out room for as many rectangles
 * @param asksAlpha without it the alpha of an opaque picture, which nobody may need, is not written
 */
export function sumsOnGrid(
  sums: Sums,
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  scale = 1,
  out: GridSums = gridSums((xs.length - 1) * (ys.length - 1)),
  asksAlpha = true,
): GridSums {
  const { width, colour, alpha, parts } = sums;
  const lines = xs.length;
  makeRoom(lines);
  for (let i = 0; i < lines; i++) {
    const x = within(xs[i]!, width);
    room.pixel[i] = pixelAt(x, width);
    room.share[i] = x - room.pixel[i]!;
  }
  const columns = lines - 1;
  readGrid(sums, colour, readColours, lines, ys, columns * COLOURS, scale / parts.channel, out.colour);
  if (alpha) readGrid(sums, alpha, readAlpha, lines, ys, columns, scale / parts.alpha, out.alpha);
  else if (asksAlpha) fillAlpha(sums, xs, ys, scale, out.alpha);
  return out;
}

/** The premultiplied sum of a whole picture. */
export function sumOfAll(sums: Sums): { colour: [number, number, number]; alpha: number } {
  const { colour, alpha } = sumsOnGrid(sums, [0, sums.width], [0, sums.height]);
  return { colour: [colour[0]!, colour[1]!, colour[2]!], alpha: alpha[0]! };
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
  const { colour, alpha } = sumsOnGrid(sums, [x0, x1], [y0, y1]);
  const sum = alpha[0]!;
  if (sum <= 1e-9) return { r: 0, g: 0, b: 0, a: 0 };
  const of = (channel: number) => colour[channel]! / sum;
  return { r: of(0), g: of(1), b: of(2), a: sum / ((x1 - x0) * (y1 - y0)) };
}
