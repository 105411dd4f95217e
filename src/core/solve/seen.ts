import { area, intersect, type Rect } from '../geometry/rect';

/** What one case shows of a picture, shares of it; `null` where nothing is seen. */
export interface Seen {
  weight: number;
  rect: Rect | null;
}

/** How much of the weight sees each cell of a grid over the picture, 0..1, row by row. */
export interface Heat {
  columns: number;
  rows: number;
  shares: number[];
}

/** The part that every case shows; `null` where there is none. */
export const seenEverywhere = (cases: readonly Seen[]): Rect | null =>
  cases.reduce<Rect | null>((all, c) => all && c.rect && intersect(all, c.rect), {
    x: 0,
    y: 0,
    width: 1,
    height: 1,
  });

/** Share of each of n equal cells that a stretch covers. */
const covered = (start: number, length: number, n: number) =>
  Array.from(
    { length: n },
    (_, i) => Math.max(0, Math.min(start + length, (i + 1) / n) - Math.max(start, i / n)) * n,
  );

/** Which parts are seen by how much of the weight: a cell of which half is seen counts half. */
export function seenSomewhere(cases: readonly Seen[], columns = 24, rows = 18): Heat {
  const shares = new Array<number>(columns * rows).fill(0);
  const total = cases.reduce((sum, c) => sum + c.weight, 0);
  for (const { weight, rect } of cases) {
    if (!rect || area(rect) <= 0 || total <= 0) continue;
    const across = covered(rect.x, rect.width, columns);
    const down = covered(rect.y, rect.height, rows);
    down.forEach((v, y) => across.forEach((u, x) => (shares[y * columns + x]! += (u * v * weight) / total)));
  }
  return { columns, rows, shares };
}
