import { colourer, type PlacedPaint } from '../fit/gradient';
import { coveredArea, isRepeated } from '../fit/tiles';
import { area, bottom, contains, intersect, meet, right, type Rect } from '../geometry/rect';
import type { FilePixels } from '../pixels/file';
import { rgbaOf, type Colours, type Rgba } from '../pixels/raster';
import { gridSums, sumOfAll, sumsOnGrid, type GridSums } from '../pixels/sums';
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
  /** lines between the columns and between the rows, lu; and in px of the picture that is being laid */
  xs: Float64Array;
  ys: Float64Array;
  xsPx: Float64Array;
  ysPx: Float64Array;
  /** size of a tile, lu */
  width: number;
  height: number;
  /** premultiplied means of one layer: three channels of 0..255 and alpha of 0..1 for each tile */
  means: GridSums;
  /** how much of each tile still shows what is behind, 0..1 */
  rest: Float64Array;
  /** the tiles as far as they are mixed */
  tiles: Colours;
}

const emptyGrid = ({ columns, rows }: Division): Grid => ({
  columns,
  rows,
  count: columns * rows,
  rect: { x: 0, y: 0, width: 0, height: 0 },
  xs: new Float64Array(columns + 1),
  ys: new Float64Array(rows + 1),
  xsPx: new Float64Array(columns + 1),
  ysPx: new Float64Array(rows + 1),
  width: 0,
  height: 0,
  means: gridSums(columns * rows),
  rest: new Float64Array(columns * rows),
  tiles: new Float64Array(columns * rows * 3),
});

// A survey lays thousands of grids under texts and bars, one after another, and making room for each takes longer than
// filling it: the room of one division is used again. Nothing of it is handed out.
const kept = new Map<number, Grid>();

function gridOf(rect: Rect, division: Division): Grid {
  const key = division.columns * 1000 + division.rows;
  let grid = kept.get(key);
  if (!grid) kept.set(key, (grid = emptyGrid(division)));
  grid.rect = rect;
  grid.width = rect.width / grid.columns;
  grid.height = rect.height / grid.rows;
  for (let i = 0; i <= grid.columns; i++) grid.xs[i] = rect.x + (rect.width * i) / grid.columns;
  for (let i = 0; i <= grid.rows; i++) grid.ys[i] = rect.y + (rect.height * i) / grid.rows;
  return grid;
}

const tileAt = ({ xs, ys, columns, width, height }: Grid, i: number): Rect => ({
  x: xs[i % columns]!,
  y: ys[Math.floor(i / columns)]!,
  width,
  height,
});

function set({ colour, alpha }: GridSums, i: number, { r, g, b, a }: Rgba, share: number): void {
  const own = a * share;
  colour[i * 3] = r * own;
  colour[i * 3 + 1] = g * own;
  colour[i * 3 + 2] = b * own;
  alpha[i] = own;
}

/** What a layer lays on a grid: nothing, something, or something opaque on all of it, whose alpha is not written. */
type Laid = 'nothing' | 'something' | 'all';

/** @param seen what of the painted area is seen; its rounded corners are not taken off */
function paintMeans(paint: PlacedPaint, seen: Rect | null, grid: Grid): Laid {
  if (!seen || !meet(seen, grid.rect)) return 'nothing';
  const { means, count } = grid;
  const whole = contains(seen, grid.rect);
  if (whole && paint.kind === 'colour') {
    // The usual ground: nothing to be worked out tile by tile.
    const colour = rgbaOf(paint.colour);
    for (let i = 0; i < count; i++) set(means, i, colour, 1);
    return colour.a === 1 ? 'all' : 'something';
  }
  means.colour.fill(0);
  means.alpha.fill(0);
  const colourAt = colourer(paint);
  for (let i = 0; i < count; i++) {
    const tile = tileAt(grid, i);
    const part = whole ? tile : intersect(tile, seen);
    if (part) set(means, i, colourAt(middleOf(tile)), area(part) / area(tile));
  }
  return 'something';
}
const middleOf = (r: Rect) => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 });

/** Of a repeated picture every tile gets the mean of a whole copy, as often as copies cover it. */
function repeatedMeans({ placement: p }: PictureResult, { sums }: FilePixels, grid: Grid): Laid {
  const whole = sumOfAll(sums);
  const px = sums.width * sums.height;
  const { colour, alpha } = grid.means;
  for (let i = 0; i < grid.count; i++) {
    const tile = tileAt(grid, i);
    const share = coveredArea(p, tile) / area(tile) / px;
    for (let c = 0; c < 3; c++) colour[i * 3 + c] = whole.colour[c]! * share;
    alpha[i] = whole.alpha * share;
  }
  return 'something';
}

/** Lines of a grid along one axis, in px of a file that is drawn there, as far as they lie in what is seen of it. */
function linesPx(
  out: Float64Array,
  lines: Float64Array,
  drawnStart: number,
  seenStart: number,
  seenEnd: number,
  pxPerLu: number,
): void {
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    const seen = line > seenStart ? (line < seenEnd ? line : seenEnd) : seenStart;
    out[i] = (seen - drawnStart) * pxPerLu;
  }
}

function singleMeans({ placement: p, tint }: PictureResult, { sums }: FilePixels, grid: Grid): Laid {
  const seen = p.visible;
  if (!seen || !meet(seen, grid.rect)) return 'nothing';
  const isAll = !sums.alpha && !tint && contains(seen, grid.rect);
  const across = sums.width / p.drawn.width;
  const down = sums.height / p.drawn.height;
  const { means, xs, ys, xsPx, ysPx } = grid;
  linesPx(xsPx, xs, p.drawn.x, seen.x, right(seen), across);
  linesPx(ysPx, ys, p.drawn.y, seen.y, bottom(seen), down);
  sumsOnGrid(sums, xsPx, ysPx, 1 / (grid.width * across * grid.height * down), means, !isAll);
  return isAll ? 'all' : 'something';
}

function pictureMeans(layer: PictureResult, file: FilePixels, grid: Grid): Laid {
  const laid = isRepeated(layer.placement)
    ? repeatedMeans(layer, file, grid)
    : singleMeans(layer, file, grid);
  if (laid !== 'nothing' && layer.tint) {
    const colour = rgbaOf(layer.tint);
    for (let i = 0; i < grid.count; i++) set(grid.means, i, colour, grid.means.alpha[i]!);
  }
  return laid;
}

/**
 * Writes what one layer lays over each tile into the grid’s means. Nothing for what lies elsewhere, is not known, or is
 * too fine to have a mean, such as letters.
 */
function layMeans(layer: LayerResult, grid: Grid, pixels: ReadonlyMap<string, FilePixels>): Laid {
  if (layer.kind === 'ground') return paintMeans(layer.paint, layer.box, grid);
  if (layer.kind === 'panel') return paintMeans(layer.paint, layer.placement.visible, grid);
  if (layer.kind === 'text') return 'nothing';
  const file = pixels.get(layer.rendition.hash);
  return file ? pictureMeans(layer, file, grid) : 'nothing';
}

/** Whether nothing under a layer is looked at in a part of the screen: an opaque file or colour covers it. */
export function covers(
  layer: LayerResult,
  part: Rect,
  all: readonly LayerResult[],
  pixels: ReadonlyMap<string, FilePixels>,
): boolean {
  if (layer.kind === 'text' || opacityOf(layer, all) < 1) return false;
  const seen = layer.kind === 'ground' ? layer.box : layer.placement.visible;
  if (!seen || !contains(seen, part)) return false;
  if (layer.kind === 'picture')
    return !!pixels.get(layer.rendition.hash)?.border && !layer.tint && !isRepeated(layer.placement);
  return layer.paint.kind === 'colour' && rgbaOf(layer.paint.colour).a === 1;
}

/** A layer is as see-through as it is itself, times the panels that hold it. */
export function opacityOf(layer: LayerResult, all: readonly LayerResult[]): number {
  if (layer.kind === 'ground' || layer.parent === undefined) return layer.opacity;
  const holder = all.find((l) => l.id === layer.parent);
  return layer.opacity * (holder ? opacityOf(holder, all) : 1);
}

/** Makes the grid’s means its tiles. @param all whether they are opaque @returns how much the least covered one still shows */
function setMeans(grid: Grid, opacity: number, all: boolean): number {
  const { rest, count, means } = grid;
  const { colour, alpha } = means;
  // What the tiles were is no longer needed: they take turns.
  means.colour = grid.tiles;
  grid.tiles = colour;
  if (all && opacity === 1) return 0;
  if (opacity < 1) for (let i = 0; i < colour.length; i++) colour[i]! *= opacity;
  let most = 0;
  for (let i = 0; i < count; i++) {
    const left = 1 - (all ? opacity : alpha[i]! * opacity);
    rest[i] = left;
    if (left > most) most = left;
  }
  return most;
}

/** Adds the grid’s means to its tiles, as far as these are not covered yet. @returns as above */
function addMeans(
  { means: { colour, alpha }, rest, tiles, count }: Grid,
  opacity: number,
  all: boolean,
): number {
  let most = 0;
  for (let i = 0; i < count; i++) {
    const share = opacity * rest[i]!;
    tiles[i * 3]! += colour[i * 3]! * share;
    tiles[i * 3 + 1]! += colour[i * 3 + 1]! * share;
    tiles[i * 3 + 2]! += colour[i * 3 + 2]! * share;
    const left = rest[i]! * (1 - (all ? opacity : alpha[i]! * opacity));
    rest[i] = left;
    if (left > most) most = left;
  }
  return most;
}

/**
 * The same as `backdropOf` for whoever reads it at once: the next call writes over it.
 * @param layers of which only so many from the back are looked at
 */
export function passingBackdrop(
  rect: Rect,
  layers: readonly LayerResult[],
  pixels: ReadonlyMap<string, FilePixels>,
  appearance: Appearance,
  count = layers.length,
  division = TILES,
): Colours {
  const grid = gridOf(rect, division);
  let lay = setMeans;
  // Front to back: under a background nothing is looked at any more.
  let most = 1;
  for (let k = count - 1; k >= 0 && most > COVERED; k--) {
    const laid = layMeans(layers[k]!, grid, pixels);
    if (laid === 'nothing') continue;
    most = lay(grid, opacityOf(layers[k]!, layers), laid === 'all');
    lay = addMeans;
  }
  if (most > COVERED) {
    for (let i = 0; i < grid.count; i++) set(grid.means, i, BEHIND[appearance], 1);
    lay(grid, 1, true);
  }
  return grid.tiles;
}

/**
 * The mean colour of each tile of a rectangle under everything that is drawn there, mixed as it is coded. Letters under it are left out, and so are the rounded corners of panels.
 * @param layers in drawing order
 * @returns row by row
 */
export const backdropOf = (
  rect: Rect,
  layers: readonly LayerResult[],
  pixels: ReadonlyMap<string, FilePixels>,
  appearance: Appearance,
  division = TILES,
): Colours => passingBackdrop(rect, layers, pixels, appearance, layers.length, division).slice();
