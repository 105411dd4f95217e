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

/** Lines along one axis: the pixel that each runs through, where it starts in the table, and how far into it the line is. */
interface Lines {
  start: Int32Array;
  /** 0..1 */
  share: Float64Array;
}
const roomFor = (count: number): Lines => ({
  start: new Int32Array(count),
  share: new Float64Array(count),
});

/**
 * What a grid needs while it is read. Grids are read by the thousand, and making room for each takes longer than reading
 * it, so the room is used again.
 */
const room = {
  across: roomFor(0),
  down: roomFor(0),
  /** sums between each two lines, of everything above the line between rows that was read last */
  last: new Float64Array(0),
};
function makeRoom(across: number, down: number): void {
  if (room.across.share.length < across) {
    room.across = roomFor(across);
    room.last = new Float64Array(across * COLOURS);
  }
  if (room.down.share.length < down) room.down = roomFor(down);
}

const within = (line: number, size: number) => (line > 0 ? (line < size ? line : size) : 0);

/** @param size of the picture, px @param step from one pixel to the next in the table */
function findLines({ start, share }: Lines, lines: ArrayLike<number>, size: number, step: number): void {
  for (let i = 0; i < lines.length; i++) {
    const at = within(lines[i]!, size);
    const pixel = at < size ? at | 0 : size - 1;
    start[i] = pixel * step;
    share[i] = at - pixel;
  }
}

/**
 * Reads the corners of a grid, each between the four of its pixel, within which sums grow evenly.
 * @param across number of lines between columns; the lines are in the room
 * @param factor by which each sum is multiplied
 */
type ReadGrid = (
  table: Uint32Array,
  stride: number,
  across: number,
  down: number,
  factor: number,
  out: Float64Array,
) => void;

/** Written out, and without a list between the steps, the three channels take a third of the time. */
const readColours: ReadGrid = (table, stride, across, down, factor, out) => {
  const { last } = room;
  const { start, share } = room.across;
  for (let j = 0, o = 0; j < down; j++) {
    const row = room.down.start[j]!;
    const below = room.down.share[j]! * factor;
    const above = factor - below;
    let [r, g, b] = [0, 0, 0];
    for (let i = 0, k = 0; i < across; i++) {
      const p = (row + start[i]!) | 0;
      const q = (p + stride) | 0;
      const f = share[i]!;
      let from = table[p]! * above + table[q]! * below;
      let to = table[p + 3]! * above + table[q + 3]! * below;
      const r1 = from + (to - from) * f;
      from = table[p + 1]! * above + table[q + 1]! * below;
      to = table[p + 4]! * above + table[q + 4]! * below;
      const g1 = from + (to - from) * f;
      from = table[p + 2]! * above + table[q + 2]! * below;
      to = table[p + 5]! * above + table[q + 5]! * below;
      const b1 = from + (to - from) * f;
      if (i > 0) {
        if (j > 0) {
          out[o] = r1 - r - last[k]!;
          out[o + 1] = g1 - g - last[k + 1]!;
          out[o + 2] = b1 - b - last[k + 2]!;
          o += COLOURS;
        }
        last[k] = r1 - r;
        last[k + 1] = g1 - g;
        last[k + 2] = b1 - b;
        k += COLOURS;
      }
      r = r1;
      g = g1;
      b = b1;
    }
  }
};

const readAlpha: ReadGrid = (table, stride, across, down, factor, out) => {
  const { last } = room;
  const { start, share } = room.across;
  for (let j = 0, o = 0; j < down; j++) {
    const below = room.down.share[j]! * factor;
    const above = factor - below;
    let before = 0;
    for (let i = 0; i < across; i++) {
      const p = room.down.start[j]! + start[i]!;
      const from = table[p]! * above + table[p + stride]! * below;
      const to = table[p + 1]! * above + table[p + 1 + stride]! * below;
      const sum = from + (to - from) * share[i]!;
      if (i > 0) {
        if (j > 0) out[o++] = sum - before - last[i]!;
        last[i] = sum - before;
      }
      before = sum;
    }
  }
};

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
 * @param xs ascending lines between the columns, px of the picture; what lies outside it adds nothing
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
  const { width, height, colour, alpha, parts } = sums;
  const [across, down] = [xs.length, ys.length];
  makeRoom(across, down);
  const read = (by: ReadGrid, table: Uint32Array, channels: number, inStep: number, into: Float64Array) => {
    const stride = (width + 1) * channels;
    findLines(room.across, xs, width, channels);
    findLines(room.down, ys, height, stride);
    by(table, stride, across, down, scale / inStep, into);
  };
  read(readColours, colour, COLOURS, parts.channel, out.colour);
  if (alpha) read(readAlpha, alpha, 1, parts.alpha, out.alpha);
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
 * @param rect in px of the picture, also between pixels; what lies outside the picture does not count
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
