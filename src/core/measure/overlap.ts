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

/** Whether a panel holds a layer, or a panel that holds it. */
function isHeldBy(layer: Standing, panel: Standing, all: readonly Standing[]): boolean {
  let { parent } = layer;
  while (parent !== undefined && parent !== panel.id) parent = all.find((s) => s.id === parent)?.parent;
  return parent !== undefined;
}

const liesIn = ({ seen: a }: Standing, { seen: b }: Standing) =>
  a.x >= b.x - HAIR && a.y >= b.y - HAIR && right(a) <= right(b) + HAIR && bottom(a) <= bottom(b) + HAIR;

/** Whether one is inside of the other: as a panel holds it, or by lying all around it. */
const isWithin = (a: Standing, b: Standing, all: readonly Standing[]) => liesIn(a, b) || isHeldBy(a, b, all);

/** Area that a layer shares with others that it is not inside of, nor they inside of it, lu². */
export function overlapOf(layer: Standing, others: readonly Standing[]): number {
  let sum = 0;
  for (const other of others) {
    if (other.id === layer.id) continue;
    const common = intersect(layer.seen, other.seen);
    if (!common || Math.min(common.width, common.height) < HAIR) continue;
    if (!isWithin(layer, other, others) && !isWithin(other, layer, others)) sum += area(common);
  }
  return sum;
}
