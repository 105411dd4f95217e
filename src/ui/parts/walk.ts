/** What the walk needs to know of a cell: where it is on the page. */
export interface CellBox {
  id: string;
  left: number;
  top: number;
  width: number;
  bottom: number;
}

const center = (c: CellBox) => c.left + c.width / 2;
const MOVES = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'Home', 'End'] as const;
export type Move = (typeof MOVES)[number];
export const isMove = (key: string): key is Move => (MOVES as readonly string[]).includes(key);

/** The nearest cell of the next row of cells in a direction; cells of a row end on the same line. */
function vertical(cells: readonly CellBox[], from: CellBox, down: boolean): CellBox {
  const beyond = cells.filter((c) => (down ? c.bottom > from.bottom + 1 : c.bottom < from.bottom - 1));
  if (beyond.length === 0) return from;
  const line = beyond.reduce((best, c) =>
    (down ? c.bottom < best.bottom : c.bottom > best.bottom) ? c : best,
  );
  const row = beyond.filter((c) => Math.abs(c.bottom - line.bottom) <= 1);
  return row.reduce((best, c) =>
    Math.abs(center(c) - center(from)) < Math.abs(center(best) - center(from)) ? c : best,
  );
}

/**
 * Where an arrow key leads from a cell: left and right in reading order, up and down to the nearest cell of the
 * neighbouring line.
 * @param cells in reading order
 */
export function walk(cells: readonly CellBox[], fromId: string | undefined, move: Move): string | undefined {
  const index = cells.findIndex((c) => c.id === fromId);
  const from = cells[index];
  if (!from || move === 'Home') return cells[0]?.id;
  if (move === 'End') return cells.at(-1)?.id;
  if (move === 'ArrowLeft') return cells[Math.max(0, index - 1)]!.id;
  if (move === 'ArrowRight') return cells[Math.min(cells.length - 1, index + 1)]!.id;
  return vertical(cells, from, move === 'ArrowDown').id;
}
