import { colourer, type PlacedPaint } from '../fit/gradient';
import { isRepeated } from '../fit/tiles';
import {
  area,
  bottom,
  centreOf,
  contains,
  extent,
  intersect,
  intersects,
  right,
  span,
  type Axis,
  type Rect,
} from '../geometry/rect';
import { areaInRound } from '../measure/glass';
import type { FilePixels } from '../pixels/file';
import { rgbaOf } from '../pixels/raster';
import { gridSums, sumsOnGrid, type Sums } from '../pixels/sums';
import { areaAt, set, tileAt, type Grid } from './grid';
import type { LayerResult, PanelResult, PictureResult } from './result';

/** What a layer lays on a grid: nothing, something, or something opaque on all of it, whose alpha is not written. */
export type Cover = 'nothing' | 'something' | 'all';

/** A rectangle with round corners, of which only a part may be seen. */
interface Round {
  rect: Rect;
  radius: number;
}

/** How much of a rectangle lies inside of round corners, 0..1. */
const shareIn = (part: Rect, round: Round) => (round.radius > 0 ? areaInRound(part, round) / area(part) : 1);

/** Takes away from the grid’s means what lies outside of round corners, tile by tile. @param seen what is drawn of it */
export function roundOff(grid: Grid, seen: Rect, round: Round): void {
  const { colour, alpha } = grid.means;
  for (let i = 0; i < grid.count; i++) {
    const part = intersect(tileAt(grid, i), seen);
    const share = part ? shareIn(part, round) : 1;
    if (share === 1) continue;
    for (let c = i * 3; c < i * 3 + 3; c++) colour[c]! *= share;
    alpha[i]! *= share;
  }
}

/** @param seen what of the painted area is seen */
function paintMeans(paint: PlacedPaint, seen: Rect | null, grid: Grid, round: Round | null = null): Cover {
  if (!seen || !intersects(seen, grid.rect)) return 'nothing';
  const { means, count } = grid;
  const whole = contains(seen, grid.rect);
  const isRound = round !== null && shareIn(intersect(seen, grid.rect)!, round) < 1 - 1e-12;
  if (whole && !isRound && paint.kind === 'colour') {
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
    if (part) set(means, i, colourAt(centreOf(tile)), area(part) / area(tile));
  }
  if (isRound) roundOff(grid, seen, round);
  return 'something';
}
/** Where a line lies in a row of copies: so many whole ones before it, and so many px into the next. */
interface InRow {
  copies: number;
  px: number;
}

/** @param lines ascending, lu; what lies outside of `seen` counts as its nearest edge */
function linesInRow(
  { drawn, tiles }: PictureResult['placement'],
  axis: Axis,
  lines: Float64Array,
  seen: Rect,
  sizePx: number,
): InRow[] {
  const from = span(drawn, axis).start;
  const copy = extent(drawn, axis);
  const tiling = tiles[axis];
  const { start, end } = span(seen, axis);
  return Array.from(lines, (line) => {
    const at = Math.max(start, Math.min(end, line)) - from;
    const copies = tiling ? Math.floor(at / tiling.pitch) : 0;
    const into = at - (tiling ? copies * tiling.pitch : 0);
    return { copies, px: (Math.max(0, Math.min(copy, into)) * sizePx) / copy };
  });
}

/** Premultiplied channels and alpha of everything left of and above a corner among the copies, px². */
function sumToCorner(sums: Sums, x: InRow, y: InRow, out = new Float64Array(4)): Float64Array {
  out.fill(0);
  const add = (toX: number, toY: number, times: number) => {
    if (times === 0 || toX === 0 || toY === 0) return;
    const { colour, alpha } = sumsOnGrid(sums, [0, toX], [0, toY], times, CORNER);
    for (let c = 0; c < 3; c++) out[c]! += colour[c]!;
    out[3]! += alpha[0]!;
  };
  add(sums.width, sums.height, x.copies * y.copies);
  add(sums.width, y.px, x.copies);
  add(x.px, sums.height, y.copies);
  add(x.px, y.px, 1);
  return out;
}
const CORNER = gridSums(1);

/**
 * Of a repeated picture each tile has the mean of what of the copies lies there: sums up to a corner count the whole
 * copies before it, so that any number of them costs the same.
 */
function repeatedMeans({ placement: p, window }: PictureResult, { sums }: FilePixels, grid: Grid): Cover {
  const seen = intersect(p.box, window);
  if (!seen || area(p.drawn) <= 0 || !intersects(seen, grid.rect)) return 'nothing';
  const xs = linesInRow(p, 'x', grid.xs, seen, sums.width);
  const ys = linesInRow(p, 'y', grid.ys, seen, sums.height);
  const corners = ys.map((y) => xs.map((x) => sumToCorner(sums, x, y)));
  const perLu = (sums.width / p.drawn.width) * (sums.height / p.drawn.height);
  const { colour, alpha } = grid.means;
  for (let i = 0; i < grid.count; i++) {
    const [column, row] = [i % grid.columns, Math.floor(i / grid.columns)];
    const [above, below] = [corners[row]!, corners[row + 1]!];
    const px = areaAt(grid, i) * perLu;
    const mean = (c: number) =>
      (below[column + 1]![c]! - below[column]![c]! - above[column + 1]![c]! + above[column]![c]!) / px;
    for (let c = 0; c < 3; c++) colour[i * 3 + c] = mean(c);
    alpha[i] = mean(3);
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

function singleMeans(layer: PictureResult, { sums }: FilePixels, grid: Grid): Cover {
  const { placement: p, tint } = layer;
  const seen = p.visible;
  if (!seen || !intersects(seen, grid.rect)) return 'nothing';
  const isAll = !sums.alpha && !tint && !isRounded(layer) && contains(seen, grid.rect);
  const across = sums.width / p.drawn.width;
  const down = sums.height / p.drawn.height;
  const { means, xs, ys, xsPx, ysPx } = grid;
  linesPx(xsPx, xs, p.drawn.x, seen.x, right(seen), across);
  linesPx(ysPx, ys, p.drawn.y, seen.y, bottom(seen), down);
  const isEven = grid.tilesCut === null;
  sumsOnGrid(sums, xsPx, ysPx, 1 / (across * down * (isEven ? areaAt(grid, 0) : 1)), means, !isAll);
  if (!isEven) perArea(grid, !isAll);
  return isAll ? 'all' : 'something';
}

/** Makes means of sums over cells that are not all alike. */
function perArea(grid: Grid, withAlpha: boolean): void {
  const { means, count } = grid;
  for (let i = 0; i < count; i++) {
    const size = areaAt(grid, i);
    for (let c = i * 3; c < i * 3 + 3; c++) means.colour[c]! /= size;
    if (withAlpha) means.alpha[i]! /= size;
  }
}

function pictureMeans(layer: PictureResult, file: FilePixels, grid: Grid): Cover {
  const { placement: p, tint } = layer;
  const laid = isRepeated(p) ? repeatedMeans(layer, file, grid) : singleMeans(layer, file, grid);
  if (laid !== 'something') return laid;
  if (tint) {
    const colour = rgbaOf(tint);
    for (let i = 0; i < grid.count; i++) set(grid.means, i, colour, grid.means.alpha[i]!);
  }
  const seen = isRepeated(p) ? p.box : p.visible;
  if (seen && isRounded(layer)) roundOff(grid, seen, { rect: p.box, radius: p.cornerRadius });
  return laid;
}

/** Whether a picture ends at round corners: those of its box, where it is cut off there. */
export const isRounded = ({ placement: p }: PictureResult) => p.cornerRadius > 0 && p.clipped;

export const roundOf = ({ box, placement }: PanelResult): Round => ({
  rect: box,
  radius: placement.cornerRadius,
});

/** Writes the colour of a panel itself into the grid’s means. @param rounded whether its corners are taken off */
export const layFill = (panel: PanelResult, grid: Grid, rounded = true): Cover =>
  paintMeans(panel.paint, panel.placement.visible, grid, rounded ? roundOf(panel) : null);

/**
 * Writes what one layer lays over each tile into the grid’s means. Nothing for what lies elsewhere, is not known, or is
 * too fine to have a mean, such as letters.
 */
export function layMeans(layer: LayerResult, grid: Grid, pixels: ReadonlyMap<string, FilePixels>): Cover {
  if (layer.kind === 'ground') return paintMeans(layer.paint, layer.box, grid);
  if (layer.kind === 'panel') return layFill(layer, grid);
  if (layer.kind === 'text') return 'nothing';
  const file = pixels.get(layer.rendition.hash);
  return file ? pictureMeans(layer, file, grid) : 'nothing';
}
