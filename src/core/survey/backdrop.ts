import { colourer, type PlacedPaint } from '../fit/gradient';
import { coveredArea, isRepeated } from '../fit/tiles';
import { area, bottom, contains, intersect, right, type Rect } from '../geometry/rect';
import type { FilePixels } from '../pixels/file';
import { rgbaOf, type Rgba } from '../pixels/raster';
import { sumsOnGrid } from '../pixels/sums';
import type { Appearance } from '../scene/values';
import type { LayerResult, PictureResult } from './result';

/** How finely what is looked at is divided. */
export interface Division {
  columns: number;
  rows: number;
}
/** Under a text, a logo or a bar. */
export const TILES: Division = { columns: 8, rows: 8 };

/** What is seen where nothing is drawn, as a window that nobody has painted: white, or black when it is dark. */
const BEHIND: Record<Appearance, Rgba> = {
  light: { r: 255, g: 255, b: 255, a: 1 },
  dark: { r: 0, g: 0, b: 0, a: 1 },
};

/** Less than this of what is behind is the last bits of a sum. */
const COVERED = 1e-9;

interface Grid extends Division {
  rect: Rect;
  count: number;
  xs: number[];
  ys: number[];
}

function lines(start: number, length: number, parts: number): number[] {
  const out: number[] = [];
  for (let i = 0; i <= parts; i++) out.push(start + (length * i) / parts);
  return out;
}
const gridOf = (rect: Rect, { columns, rows }: Division): Grid => ({
  rect,
  columns,
  rows,
  count: columns * rows,
  xs: lines(rect.x, rect.width, columns),
  ys: lines(rect.y, rect.height, rows),
});

/** Premultiplied means, four numbers a tile: 0..255 each and alpha 0..1. */
type Means = Float64Array;

const tileAt = ({ rect, xs, ys, columns, rows }: Grid, i: number): Rect => ({
  x: xs[i % columns]!,
  y: ys[Math.floor(i / columns)]!,
  width: rect.width / columns,
  height: rect.height / rows,
});

function set(means: Means, i: number, { r, g, b, a }: Rgba, share: number): void {
  const alpha = a * share;
  means[i * 4] = r * alpha;
  means[i * 4 + 1] = g * alpha;
  means[i * 4 + 2] = b * alpha;
  means[i * 4 + 3] = alpha;
}

/** @param seen what of the painted area is seen; its rounded corners are not taken off */
function paintMeans(paint: PlacedPaint, seen: Rect | null, grid: Grid): Means | null {
  if (!seen || !intersect(seen, grid.rect)) return null;
  const means = new Float64Array(grid.count * 4);
  const whole = contains(seen, grid.rect);
  if (whole && paint.kind === 'colour') {
    // The usual ground: nothing to be worked out tile by tile.
    const colour = rgbaOf(paint.colour);
    for (let i = 0; i < grid.count; i++) set(means, i, colour, 1);
    return means;
  }
  const colourAt = colourer(paint);
  for (let i = 0; i < grid.count; i++) {
    const tile = tileAt(grid, i);
    const part = whole ? tile : intersect(tile, seen);
    if (part) set(means, i, colourAt(middleOf(tile)), area(part) / area(tile));
  }
  return means;
}
const middleOf = (r: Rect) => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 });

/** Of a repeated picture every tile gets the mean of a whole copy, as often as copies cover it. */
function repeatedMeans({ placement: p }: PictureResult, { sums }: FilePixels, grid: Grid): Means {
  const whole = sumsOnGrid(sums, [0, sums.width], [0, sums.height]);
  const px = sums.width * sums.height;
  const means = new Float64Array(grid.count * 4);
  for (let i = 0; i < grid.count; i++) {
    const tile = tileAt(grid, i);
    const share = coveredArea(p, tile) / area(tile) / px;
    for (let c = 0; c < 4; c++) means[i * 4 + c] = whole[c]! * share;
  }
  return means;
}

function pictureMeans(layer: PictureResult, file: FilePixels, grid: Grid): Means | null {
  const { placement: p, tint } = layer;
  let means: Means;
  if (isRepeated(p)) means = repeatedMeans(layer, file, grid);
  else {
    const seen = p.visible;
    if (!seen || !intersect(seen, grid.rect)) return null;
    const { sums } = file;
    const across = sums.width / p.drawn.width;
    const down = sums.height / p.drawn.height;
    const clamped = (list: number[], from: number, to: number) =>
      list.map((v) => Math.max(from, Math.min(to, v)));
    const xs = clamped(grid.xs, seen.x, right(seen)).map((x) => (x - p.drawn.x) * across);
    const ys = clamped(grid.ys, seen.y, bottom(seen)).map((y) => (y - p.drawn.y) * down);
    means = sumsOnGrid(sums, xs, ys);
    const px = ((grid.rect.width / grid.columns) * across * grid.rect.height * down) / grid.rows;
    for (let i = 0; i < means.length; i++) means[i]! /= px;
  }
  if (tint) {
    const colour = rgbaOf(tint);
    for (let i = 0; i < grid.count; i++) set(means, i, colour, means[i * 4 + 3]!);
  }
  return means;
}

/** What one layer lays over each tile; `null` for what lies elsewhere, is not known, or is too fine to have a mean, such as letters. */
function meansOf(layer: LayerResult, grid: Grid, pixels: ReadonlyMap<string, FilePixels>): Means | null {
  if (layer.kind === 'ground') return paintMeans(layer.paint, layer.box, grid);
  if (layer.kind === 'panel') return paintMeans(layer.paint, layer.placement.visible, grid);
  if (layer.kind === 'text') return null;
  const file = pixels.get(layer.rendition.hash);
  return file ? pictureMeans(layer, file, grid) : null;
}

/** A layer is as see-through as it is itself, times the panels that hold it. */
export function opacityOf(layer: LayerResult, all: readonly LayerResult[]): number {
  const holder = layer.kind === 'ground' ? undefined : all.find((l) => l.id === layer.parent);
  return layer.opacity * (holder ? opacityOf(holder, all) : 1);
}

/**
 * The mean colour of each tile of a rectangle under everything that is drawn there, mixed as it is coded. Letters under it are left out, and so are the rounded corners of panels.
 * @param below layers in drawing order
 * @returns opaque colours, row by row
 */
export function backdropOf(
  rect: Rect,
  below: readonly LayerResult[],
  pixels: ReadonlyMap<string, FilePixels>,
  appearance: Appearance,
  division = TILES,
): Rgba[] {
  const grid = gridOf(rect, division);
  const { count } = grid;
  const tiles: Rgba[] = [];
  for (let i = 0; i < count; i++) tiles.push({ r: 0, g: 0, b: 0, a: 1 });
  // Front to back: how much of each tile still shows what is behind; under a background nothing is looked at any more.
  const rest = new Float64Array(count).fill(1);
  let most = 1;
  const lay = (means: Means, opacity: number) => {
    most = 0;
    for (let i = 0; i < count; i++) {
      const tile = tiles[i]!;
      const share = opacity * rest[i]!;
      tile.r += means[i * 4]! * share;
      tile.g += means[i * 4 + 1]! * share;
      tile.b += means[i * 4 + 2]! * share;
      rest[i]! *= 1 - means[i * 4 + 3]! * opacity;
      if (rest[i]! > most) most = rest[i]!;
    }
  };
  for (let k = below.length - 1; k >= 0 && most > COVERED; k--) {
    const means = meansOf(below[k]!, grid, pixels);
    if (means) lay(means, opacityOf(below[k]!, below));
  }
  if (most > COVERED) {
    const { r, g, b } = BEHIND[appearance];
    for (let i = 0; i < count; i++) {
      const tile = tiles[i]!;
      tile.r += r * rest[i]!;
      tile.g += g * rest[i]!;
      tile.b += b * rest[i]!;
    }
  }
  return tiles;
}
