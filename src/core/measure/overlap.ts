import { area, bottom, intersect, right, type Rect } from '../geometry/rect';

/** A layer that others should not lie across. */
export interface Standing {
  id: string;
  parent?: string;
  /** what is seen of it */
  seen: Rect;
}

/** A hair's breadth, lu: the last bits of a sum are no overlap. */
const HAIR = 1e-6;

/** Whether one holds the other: as a panel does, or by lying all around it. */
const isWithin = (a: Standing, b: Standing) =>
  a.parent === b.id ||
  (a.seen.x >= b.seen.x - HAIR &&
    a.seen.y >= b.seen.y - HAIR &&
    right(a.seen) <= right(b.seen) + HAIR &&
    bottom(a.seen) <= bottom(b.seen) + HAIR);

/** Area that a layer shares with others that it is not inside of, nor they inside of it, lu². */
export function overlapOf(layer: Standing, others: readonly Standing[]): number {
  let sum = 0;
  for (const other of others) {
    if (other.id === layer.id) continue;
    const common = intersect(layer.seen, other.seen);
    if (!common || Math.min(common.width, common.height) < HAIR) continue;
    if (!isWithin(layer, other) && !isWithin(other, layer)) sum += area(common);
  }
  return sum;
}
