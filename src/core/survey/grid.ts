import { centreOf, type Axis, type Rect } from '../geometry/rect';
import { gridSums, type GridSums } from '../pixels/sums';
import type { Colours, Rgba } from '../pixels/raster';

/** How finely what is looked at is divided. */
export interface Division {
  columns: number;
  rows: number;
}

/** The tiles of a rectangle, or the smaller cells into which edges that run through them cut them. */
export interface Grid extends Division {
  rect: Rect;
  count: number;
  /** lines between the columns and between the rows, lu; and in px of the picture that is being laid */
  xs: Float64Array;
  ys: Float64Array;
  xsPx: Float64Array;
  ysPx: Float64Array;
  /** the tiles that the cells are parts of; `null` where each cell is a tile */
  tilesCut: Division | null;
  /** premultiplied means of one layer: three channels of 0..255 and alpha of 0..1 for each cell */
  means: GridSums;
  /** how much of each cell still shows what is behind, 0..1 */
  rest: Float64Array;
  /** the cells as far as they are mixed */
  tiles: Colours;
}

const emptyGrid = ({ columns, rows }: Division): Grid => ({
  columns,
  rows,
  count: columns * rows,
  rect: { x: 0, y: 0, width: 0, height: 0 },
  tilesCut: null,
  xs: new Float64Array(columns + 1),
  ys: new Float64Array(rows + 1),
  xsPx: new Float64Array(columns + 1),
  ysPx: new Float64Array(rows + 1),
  means: gridSums(columns * rows),
  rest: new Float64Array(columns * rows),
  tiles: new Float64Array(columns * rows * 3),
});

// A survey lays thousands of grids under texts and bars, one after another, and making room for each takes longer than
// filling it: the room of one division is used again. Nothing of it is handed out.
const kept = new Map<number, Grid>();

function roomFor(columns: number, rows: number): Grid {
  const key = columns * 1000 + rows;
  let grid = kept.get(key);
  if (!grid) kept.set(key, (grid = emptyGrid({ columns, rows })));
  return grid;
}

/** Lines along which a grid is cut further, lu. */
export type Cuts = Record<Axis, number[]>;

/** Nearer than this share of a tile to another line, a line parts nothing. */
const TOO_NEAR = 1e-6;

/** The lines between tiles and the cuts among them, ascending. */
function linesCut(start: number, size: number, count: number, cuts: readonly number[]): number[] {
  const tile = size / count;
  const lines = Array.from({ length: count + 1 }, (_, i) => start + (size * i) / count);
  for (const cut of cuts.toSorted((a, b) => a - b)) {
    const after = lines.findIndex((line) => line > cut);
    const parts = after > 0 && Math.min(cut - lines[after - 1]!, lines[after]! - cut) > tile * TOO_NEAR;
    if (parts) lines.splice(after, 0, cut);
  }
  return lines;
}

/** @param cuts edges of what will be laid, so that each cell lies wholly inside or outside it; `null` for none */
export function gridOf(rect: Rect, division: Division, cuts: Cuts | null = null): Grid {
  if (cuts) {
    const xs = linesCut(rect.x, rect.width, division.columns, cuts.x);
    const ys = linesCut(rect.y, rect.height, division.rows, cuts.y);
    const grid = roomFor(xs.length - 1, ys.length - 1);
    grid.xs.set(xs);
    grid.ys.set(ys);
    return Object.assign(grid, { rect, tilesCut: division });
  }
  const grid = roomFor(division.columns, division.rows);
  grid.rect = rect;
  grid.tilesCut = null;
  for (let i = 0; i <= grid.columns; i++) grid.xs[i] = rect.x + (rect.width * i) / grid.columns;
  for (let i = 0; i <= grid.rows; i++) grid.ys[i] = rect.y + (rect.height * i) / grid.rows;
  return grid;
}

export function tileAt({ xs, ys, columns }: Grid, i: number): Rect {
  const [column, row] = [i % columns, Math.floor(i / columns)];
  const [x, y] = [xs[column]!, ys[row]!];
  return { x, y, width: xs[column + 1]! - x, height: ys[row + 1]! - y };
}

/** lu² */
export const areaAt = ({ xs, ys, columns }: Grid, i: number): number => {
  const [column, row] = [i % columns, Math.floor(i / columns)];
  return (xs[column + 1]! - xs[column]!) * (ys[row + 1]! - ys[row]!);
};

/** Mean colours of the tiles. @param values three for each cell, row by row @returns three for each tile */
export function overTiles(grid: Grid, values: Colours): Colours {
  const { tilesCut, rect, count } = grid;
  if (!tilesCut) return values;
  const { columns, rows } = tilesCut;
  const out = new Float64Array(columns * rows * 3);
  const [across, down] = [columns / rect.width, rows / rect.height];
  for (let i = 0; i < count; i++) {
    const { x, y } = centreOf(tileAt(grid, i));
    const tile = Math.floor((y - rect.y) * down) * columns + Math.floor((x - rect.x) * across);
    const share = areaAt(grid, i) * across * down;
    for (let c = 0; c < 3; c++) out[tile * 3 + c]! += values[i * 3 + c]! * share;
  }
  return out;
}

export function set({ colour, alpha }: GridSums, i: number, { r, g, b, a }: Rgba, share: number): void {
  const own = a * share;
  colour[i * 3] = r * own;
  colour[i * 3 + 1] = g * own;
  colour[i * 3 + 2] = b * own;
  alpha[i] = own;
}

/** A grid over the same cells with room of its own, for what is painted by itself first. */
export function gridBeside({ rect, columns, rows, tilesCut, xs, ys }: Grid): Grid {
  return Object.assign(emptyGrid({ columns, rows }), { rect, tilesCut, xs, ys });
}
