import { partOf, type Rect } from '../geometry/rect';
import { inkBounds, type FilePixels } from '../pixels/file';
import { rgbaOf } from '../pixels/raster';
import { sumsOnGrid } from '../pixels/sums';
import type { PictureResult } from '../survey/result';

/** Whether two files show the same, whatever room is around it and however many pixels they have. */

/** Ink is compared on so many tiles along each side. */
const TILES = 12;
/** Differences of premultiplied channels and of alpha, 0..1, up to which two tiles, and all tiles in the mean, are alike. */
const ALIKE = { tile: 0.15, mean: 0.03 };
/** How much longer one side of the ink may be, as drawings end between pixels. */
const ALIKE_SHAPE = 0.03;

/** The ink of one file in tiles, row by row: three premultiplied channels and alpha of each, 0..1. */
interface Look {
  shape: number;
  tiles: Float64Array;
}

const linesIn = (from: number, length: number) =>
  Float64Array.from({ length: TILES + 1 }, (_, i) => from + (length * i) / TILES);

function lookOf(file: FilePixels, tint: string | null): Look | null {
  const ink = inkBounds(file, tint !== null);
  if (!ink) return null;
  const { width, height } = file.sums;
  const [across, down] = [ink.width * width, ink.height * height];
  const area = (across / TILES) * (down / TILES);
  const xs = linesIn(ink.x * width, across);
  const { colour, alpha } = sumsOnGrid(file.sums, xs, linesIn(ink.y * height, down), 1 / area);
  const own = tint !== null && rgbaOf(tint);
  const tiles = new Float64Array(TILES * TILES * 4);
  alpha.forEach((a, i) => {
    const channels = own ? [own.r * a, own.g * a, own.b * a] : colour.subarray(i * 3, i * 3 + 3);
    for (let k = 0; k < 3; k++) tiles[i * 4 + k] = channels[k]! / 255;
    tiles[i * 4 + 3] = own ? own.a * a : a;
  });
  return { shape: across / down, tiles };
}

function areAlike(a: Look, b: Look): boolean {
  if (Math.abs(Math.log(a.shape / b.shape)) > ALIKE_SHAPE) return false;
  let sum = 0;
  for (let i = 0; i < a.tiles.length; i++) {
    const difference = Math.abs(a.tiles[i]! - b.tiles[i]!);
    if (difference > ALIKE.tile) return false;
    sum += difference;
  }
  return sum / a.tiles.length <= ALIKE.mean;
}

type Pixels = ReadonlyMap<string, FilePixels>;

/** Looks of files, and which of them are alike, are worked out once for all cases. */
interface Known {
  looks: Map<string, Look | null>;
  alike: Map<string, boolean>;
}
const known = new WeakMap<FilePixels, Known>();

function knownOf(file: FilePixels): Known {
  const was = known.get(file);
  if (was) return was;
  const fresh: Known = { looks: new Map(), alike: new Map() };
  known.set(file, fresh);
  return fresh;
}

function look(file: FilePixels, tint: string | null): Look | null {
  const { looks } = knownOf(file);
  const key = tint ?? '';
  if (!looks.has(key)) looks.set(key, lookOf(file, tint));
  return looks.get(key)!;
}

/** Whether two layers show the same drawing: its ink alike in shape and, tints included, in colour. */
export function showAlike(a: PictureResult, b: PictureResult, pixels: Pixels): boolean {
  const [one, other] = [pixels.get(a.rendition.hash), pixels.get(b.rendition.hash)];
  if (!one || !other) return false;
  const { alike } = knownOf(one);
  const key = `${a.tint ?? ''} ${b.rendition.hash} ${b.tint ?? ''}`;
  const was = alike.get(key);
  if (was !== undefined) return was;
  const [x, y] = [look(one, a.tint), look(other, b.tint)];
  const is = x !== null && y !== null && areAlike(x, y);
  alike.set(key, is);
  return is;
}

/**
 * Where what two layers have in common lies: of one file the whole of it, of two files their ink, as there may be other
 * room around it. Both whole where the ink of one is not known.
 */
export function commonPart(
  before: PictureResult,
  after: PictureResult,
  pixels: Pixels | null,
): { from: Rect; to: Rect } {
  const whole = { from: before.placement.drawn, to: after.placement.drawn };
  if (before.rendition.hash === after.rendition.hash) return whole;
  const inkIn = ({ rendition, tint, placement }: PictureResult) => {
    const file = pixels?.get(rendition.hash);
    const bounds = file && inkBounds(file, tint !== null);
    return bounds ? partOf(placement.drawn, bounds) : null;
  };
  const [from, to] = [inkIn(before), inkIn(after)];
  return from && to ? { from, to } : whole;
}
