import type { Rect } from '../geometry/rect';
import { gridSums, type GridSums } from '../pixels/sums';
import type { Colours, Rgba } from '../pixels/raster';

/** How finely what is looked at is divided. */
export interface Division {
  columns: number;
  rows: number;
}
export interface Grid extends Division {
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

export function gridOf(rect: Rect, division: Division): Grid {
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

export const tileAt = ({ xs, ys, columns, width, height }: Grid, i: number): Rect => ({
  x: xs[i % columns]!,
  y: ys[Math.floor(i / columns)]!,
  width,
  height,
});

export function set({ colour, alpha }: GridSums, i: number, { r, g, b, a }: Rgba, share: number): void {
  const own = a * share;
  colour[i * 3] = r * own;
  colour[i * 3 + 1] = g * own;
  colour[i * 3 + 2] = b * own;
  alpha[i] = own;
}

/** A grid over the same tiles with room of its own, for what is painted by itself first. */
export function gridBeside({ rect, columns, rows, width, height, xs, ys }: Grid): Grid {
  return Object.assign(emptyGrid({ columns, rows }), { rect, width, height, xs, ys });
}
