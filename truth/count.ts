import type { Rect } from '../src/core/geometry/rect';
import type { Shot } from './browser';

/** Figures by counting pixels of screenshots. */

/** Where a picture of places was painted alone: which px show it, and which part of it. */
export interface Counted {
  /** px of the screen that show it */
  count: number;
  /** px, from the first row and column to behind the last */
  bounds: Rect | null;
  /** of the picture, 0..1, from the first place that is seen to the last */
  part: { left: number; right: number; top: number; bottom: number } | null;
  /** of the picture, 0..1, from one px to the next */
  step: { x: number; y: number };
  /** which px of the screen show it */
  mask: Uint8Array;
}

/** The slope of values over whole numbers by least squares; 0 for a single one. */
function slopeOf(values: readonly number[]): number {
  const n = values.length;
  if (n < 2) return 0;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  let [up, down] = [0, 0];
  values.forEach((v, i) => {
    up += (i - (n - 1) / 2) * (v - mean);
    down += (i - (n - 1) / 2) ** 2;
  });
  return up / down;
}

/** @param shot of a page with nothing but a ramp: red across, green down, see-through elsewhere */
export function countRamp({ data, width, height }: Shot): Counted {
  const mask = new Uint8Array(width * height);
  let count = 0;
  let [left, right, top, bottom] = [width, -1, height, -1];
  for (let i = 0; i < mask.length; i++) {
    if (data[i * 4 + 3]! < 128) continue;
    mask[i] = 1;
    count++;
    const [x, y] = [i % width, Math.floor(i / width)];
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  if (count === 0) return { count, bounds: null, part: null, step: { x: 0, y: 0 }, mask };
  const middle = { x: (left + right) >> 1, y: (top + bottom) >> 1 };
  const at = (x: number, y: number, c: number) => data[(y * width + x) * 4 + c]! / 255;
  const across = Array.from({ length: right - left + 1 }, (_, i) => at(left + i, middle.y, 0));
  const down = Array.from({ length: bottom - top + 1 }, (_, i) => at(middle.x, top + i, 1));
  const step = { x: slopeOf(across), y: slopeOf(down) };
  const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length;
  const part = {
    left: mean(across) - (step.x * across.length) / 2,
    right: mean(across) + (step.x * across.length) / 2,
    top: mean(down) - (step.y * down.length) / 2,
    bottom: mean(down) + (step.y * down.length) / 2,
  };
  return {
    count,
    bounds: { x: left, y: top, width: right - left + 1, height: bottom - top + 1 },
    part,
    step,
    mask,
  };
}

/**
 * How many px of a mask have a channel set in a screenshot: 0 red, 1 green, 2 blue. The last row of a screen of a broken
 * number of px is see-through.
 */
export const countIn = ({ data }: Shot, mask: Uint8Array, channel: number): number =>
  mask.reduce(
    (sum, inside, i) => sum + (inside && data[i * 4 + channel]! * data[i * 4 + 3]! >= 128 * 255 ? 1 : 0),
    0,
  );

const linear = (coded: number) => {
  const c = coded / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};

/** Mean colour of a rectangle of a screenshot over white. @param rect px, also between px */
function meanIn({ data, width, height }: Shot, rect: Rect): [number, number, number] {
  const sum = [0, 0, 0];
  let weight = 0;
  for (let y = Math.floor(rect.y); y < Math.min(height, rect.y + rect.height); y++) {
    for (let x = Math.floor(rect.x); x < Math.min(width, rect.x + rect.width); x++) {
      if (x < 0 || y < 0) continue;
      const across = Math.min(x + 1, rect.x + rect.width) - Math.max(x, rect.x);
      const down = Math.min(y + 1, rect.y + rect.height) - Math.max(y, rect.y);
      const w = Math.max(0, across) * Math.max(0, down);
      const a = data[(y * width + x) * 4 + 3]! / 255;
      for (let c = 0; c < 3; c++) sum[c]! += w * (data[(y * width + x) * 4 + c]! * a + 255 * (1 - a));
      weight += w;
    }
  }
  return sum.map((s) => s / Math.max(weight, 1e-9)) as [number, number, number];
}

const luminance = ([r, g, b]: readonly [number, number, number]) =>
  0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);

/** The tenth percentile of WCAG ratios of two screenshots over 8 × 8 tiles of a rectangle. @param rect px */
export function contrastOf(ink: Shot, ground: Shot, rect: Rect): number {
  const ratios = Array.from({ length: 64 }, (_, i) => {
    const tile = {
      x: rect.x + ((i % 8) * rect.width) / 8,
      y: rect.y + (Math.floor(i / 8) * rect.height) / 8,
      width: rect.width / 8,
      height: rect.height / 8,
    };
    const [a, b] = [luminance(meanIn(ink, tile)), luminance(meanIn(ground, tile))];
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  });
  return ratios.toSorted((a, b) => a - b)[Math.ceil(6.4) - 1]!;
}

export interface PaintDifference {
  /** of full scale, over all channels of the px that are compared */
  mean: number;
  /** 99.9th percentile of the most different channel, of full scale */
  high: number;
  /** share of all px */
  compared: number;
}

/** A screenshot as it is compared: channels over what it stands on, three for each px, and where its edges are. */
export interface Flat {
  width: number;
  height: number;
  image: Uint8Array;
  edges: Uint8Array;
}

/** @param behind what it stands on, 0 black or 255 white @param hidden what is left out, px: letters are edges all over, which may be faint */
export function flattened(shot: Shot, behind: number, hidden: readonly Rect[] = []): Flat {
  const { width, height } = shot;
  const image = overGrey(shot, behind);
  const edges = new Uint8Array(width * height);
  markEdges(image, width, height, edges);
  for (const { x, y, width: w, height: h } of hidden)
    for (let row = Math.max(0, Math.floor(y)); row < Math.min(height, y + h); row++)
      edges.fill(
        1,
        row * width + Math.max(0, Math.floor(x)),
        row * width + Math.max(0, Math.min(width, Math.ceil(x + w))),
      );
  return { width, height, image, edges };
}

function overGrey({ data, width, height }: Shot, behind: number): Uint8Array {
  const out = new Uint8Array(width * height * 3);
  for (let i = 0; i < width * height; i++) {
    const alpha = data[i * 4 + 3]! / 255;
    for (let c = 0; c < 3; c++) out[i * 3 + c] = Math.round(data[i * 4 + c]! * alpha + behind * (1 - alpha));
  }
  return out;
}

/** Difference from the px to the right and below from which on there is an edge. */
const EDGE = 9;

function markEdges(image: Uint8Array, width: number, height: number, edges: Uint8Array): void {
  const differs = (i: number, j: number) =>
    Math.abs(image[i * 3]! - image[j * 3]!) > EDGE ||
    Math.abs(image[i * 3 + 1]! - image[j * 3 + 1]!) > EDGE ||
    Math.abs(image[i * 3 + 2]! - image[j * 3 + 2]!) > EDGE;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (x + 1 < width && differs(i, i + 1)) edges[i] = edges[i + 1] = 1;
      if (y + 1 < height && differs(i, i + width)) edges[i] = edges[i + width] = 1;
    }
}

/** Everything within a distance of what is marked, along a row or a column. @param step from one px to the next */
function spread(
  marks: Uint8Array,
  length: number,
  lines: number,
  step: number,
  lineStep: number,
  reach: number,
) {
  const out = new Uint8Array(marks.length);
  for (let line = 0; line < lines; line++) {
    let last = -Infinity;
    for (let k = 0; k < length; k++) {
      const i = line * lineStep + k * step;
      if (marks[i]) {
        for (let back = Math.max(0, k - reach); back <= k; back++) out[line * lineStep + back * step] = 1;
        last = k;
      } else if (k - last <= reach) out[i] = 1;
    }
  }
  return out;
}

/** Two pictures of the same, away from edges. @param reach px */
export function paintDifference(a: Flat, b: Flat, reach = 2): PaintDifference {
  const { width, height, image: one } = a;
  const two = b.image;
  let edges: Uint8Array = a.edges.map((e, i) => e | b.edges[i]!);
  edges = spread(edges, width, height, 1, width, reach);
  edges = spread(edges, height, width, width, 1, reach);
  let [sum, compared] = [0, 0];
  const histogram = new Uint32Array(256);
  for (let i = 0; i < width * height; i++) {
    if (edges[i]) continue;
    let most = 0;
    for (let c = 0; c < 3; c++) {
      const d = Math.abs(one[i * 3 + c]! - two[i * 3 + c]!);
      sum += d;
      if (d > most) most = d;
    }
    histogram[Math.min(255, Math.ceil(most))]!++;
    compared++;
  }
  let high = 255;
  for (let above = 0; high > 0 && above + histogram[high]! <= compared / 1000; high--)
    above += histogram[high]!;
  return {
    mean: sum / Math.max(1, compared * 3) / 255,
    high: high / 255,
    compared: compared / (width * height),
  };
}
