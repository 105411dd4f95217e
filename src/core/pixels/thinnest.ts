import { LEAST_ALPHA } from './ink';
import type { Raster } from './raster';

/** As much of all ink may be thinner: the tips and corners of solid shapes. */
const TIPS = 0.02;
/** How finely thicknesses are told apart, steps a px, and up to which: what is thicker is no line. */
const STEPS = 16;
const MOST_PX = 256;

/** Steps of the four directions in which a line may be crossed. */
const DIRECTIONS = [
  { dx: 1, dy: 0, step: 1 },
  { dx: 0, dy: 1, step: 1 },
  { dx: 1, dy: 1, step: Math.SQRT2 },
  { dx: 1, dy: -1, step: Math.SQRT2 },
] as const;
type Direction = (typeof DIRECTIONS)[number];

/** How far along a direction the ink goes on from a pixel, itself included, px. */
function runFrom(x: number, y: number, { dx, dy }: Direction, ink: Float32Array, { width, height }: Raster) {
  let length = 0;
  let [nextX, nextY] = [x, y];
  while (nextX < width && nextY >= 0 && nextY < height && nextX >= 0 && ink[nextY * width + nextX]! > 0) {
    length++;
    nextX += dx;
    nextY += dy;
  }
  return length;
}

/** Takes down the extents of all runs along one direction where they are the least so far. */
function alongDirection(direction: Direction, raster: Raster, ink: Float32Array, least: Float32Array): void {
  const { width, height } = raster;
  const { dx, dy, step } = direction;
  const by = dy * width + dx;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (ink[at] === 0) continue;
      const isInside = x - dx >= 0 && y - dy >= 0 && y - dy < height;
      // Each run is gone through once, from where it begins.
      if (isInside && ink[at - by]! > 0) continue;
      const length = runFrom(x, y, direction, ink, raster);
      let sum = 0;
      for (let i = 0; i < length; i++) sum += ink[at + i * by]!;
      const extent = sum * step;
      for (let i = 0; i < length; i++) if (extent < least[at + i * by]!) least[at + i * by] = extent;
    }
}

/** The thickest within half of a pixel’s own thickness: beside the corner of a shape there is more of it. */
function thickestBeside(
  at: number,
  least: Float32Array,
  ink: Float32Array,
  { width, height }: Raster,
): number {
  const reach = Math.min(8, Math.ceil(least[at]! / 2));
  const [x, y] = [at % width, Math.floor(at / width)];
  let most = least[at]!;
  for (let nearY = Math.max(0, y - reach); nearY <= Math.min(height - 1, y + reach); nearY++)
    for (let nearX = Math.max(0, x - reach); nearX <= Math.min(width - 1, x + reach); nearX++) {
      const near = nearY * width + nearX;
      if (ink[near]! > 0 && least[near]! > most) most = least[near]!;
    }
  return most;
}

/**
 * How thin the thinnest lines of a see-through picture are, px: so little of its ink is thinner that it may be the tips of solid
 * shapes.
 * @returns to a sixteenth of a px; 0 without ink
 */
export function thinnestOf(raster: Raster): number {
  const { width, height, data } = raster;
  const ink = new Float32Array(width * height);
  for (let at = 0; at < ink.length; at++) {
    const alpha = data[at * 4 + 3]!;
    ink[at] = alpha >= LEAST_ALPHA ? alpha / 255 : 0;
  }
  const least = new Float32Array(ink.length).fill(MOST_PX);
  for (const direction of DIRECTIONS) alongDirection(direction, raster, ink, least);
  const thick = new Float64Array(MOST_PX * STEPS + 1);
  let all = 0;
  for (let at = 0; at < ink.length; at++) {
    if (ink[at] === 0) continue;
    // What is far from being a line need not be looked at closely.
    const px = least[at]! > MOST_PX / 8 ? least[at]! : thickestBeside(at, least, ink, raster);
    thick[Math.round(px * STEPS)]! += ink[at]!;
    all += ink[at]!;
  }
  let thinner = 0;
  for (let i = 0; i < thick.length; i++) {
    thinner += thick[i]!;
    if (all > 0 && thinner > TIPS * all) return i / STEPS;
  }
  return 0;
}
