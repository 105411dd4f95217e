import type { Rect } from '../geometry/rect';
import type { Raster } from './raster';

/** How much of a picture's detail lies in each cell of a grid; shares that sum to 1. */
export interface DetailMap {
  columns: number;
  rows: number;
  /** row by row */
  shares: Float64Array;
}

const CELLS = 24;

/** Coded brightness of a pixel as far as it is seen. Source of the weights: ITU-R BT.709. */
const lumaAt = ({ data }: Raster, i: number) =>
  ((0.2126 * data[i]! + 0.7152 * data[i + 1]! + 0.0722 * data[i + 2]!) * data[i + 3]!) / 255;

/** Detail is how much brightness changes from each pixel to the next; `null` for a picture that is all alike. */
export function detailOf(raster: Raster): DetailMap | null {
  const { width, height } = raster;
  const columns = Math.min(CELLS, width);
  const rows = Math.min(CELLS, height);
  const shares = new Float64Array(columns * rows);
  let total = 0;
  for (let y = 0; y < height - 1; y++) {
    for (let x = 0; x < width - 1; x++) {
      const i = (y * width + x) * 4;
      const here = lumaAt(raster, i);
      const step = Math.abs(lumaAt(raster, i + 4) - here) + Math.abs(lumaAt(raster, i + width * 4) - here);
      const cell = Math.floor((y * rows) / height) * columns + Math.floor((x * columns) / width);
      shares[cell]! += step;
      total += step;
    }
  }
  if (total === 0) return null;
  return { columns, rows, shares: shares.map((s) => s / total) };
}

/**
 * The rectangle of cells with the greatest sum, as first and last column and row.
 * Source: Kadane's scan over every pair of rows, as in Bentley, “Programming pearls: algorithm design techniques”, 1984.
 */
function greatestSum(columns: number, rows: number, value: (cell: number) => number) {
  let best = { sum: -Infinity, left: 0, right: 0, top: 0, bottom: 0 };
  for (let top = 0; top < rows; top++) {
    const strip = new Float64Array(columns);
    for (let bottom = top; bottom < rows; bottom++) {
      let sum = 0;
      let left = 0;
      for (let x = 0; x < columns; x++) {
        strip[x]! += value(bottom * columns + x);
        if (sum <= 0) {
          sum = 0;
          left = x;
        }
        sum += strip[x]!;
        if (sum > best.sum) best = { sum, left, right: x, top, bottom };
      }
    }
  }
  return best;
}

/** Where a picture's subject may lie, judged by detail alone; shares of its width and height. */
export interface Suggestion {
  keepArea: Rect;
  focalPoint: { x: number; y: number };
}

/** A place is busy when it has so many times the detail of an average one. */
const BUSY = 3;

/**
 * The area with the most detail beyond three times what an area of its size has on average, and the mean place of the
 * detail in it; `null` where no place is that busy. It is an offer: what matters is not always where it is busy.
 */
export function suggest({ columns, rows, shares }: DetailMap): Suggestion | null {
  const least = BUSY / (columns * rows);
  const { sum: beyond, left, right, top, bottom } = greatestSum(columns, rows, (i) => shares[i]! - least);
  if (beyond <= 0) return null;
  let [sum, x, y] = [0, 0, 0];
  for (let row = top; row <= bottom; row++) {
    for (let column = left; column <= right; column++) {
      const share = shares[row * columns + column]!;
      sum += share;
      x += share * (column + 0.5);
      y += share * (row + 0.5);
    }
  }
  return {
    keepArea: {
      x: left / columns,
      y: top / rows,
      width: (right + 1 - left) / columns,
      height: (bottom + 1 - top) / rows,
    },
    focalPoint: { x: x / sum / columns, y: y / sum / rows },
  };
}
