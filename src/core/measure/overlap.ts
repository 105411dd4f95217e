import { area, intersect, type Rect } from '../geometry/rect';

/** A layer that others should not lie across. */
export interface Standing {
  id: string;
  parent?: string;
  /** of a panel that is laid around layers by its rule, as a scrim is: which layers these are */
  around?: readonly string[] | undefined;
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

/** Whether one is the other’s ground: the panel that holds it, or one that is laid around it. */
const isOn = (a: Standing, b: Standing, all: readonly Standing[]) =>
  b.around?.includes(a.id) || isHeldBy(a, b, all);

/** Area that a layer shares with others, lu², wholly or in part; but for the panel it lies on, and what lies on it. */
export function overlapOf(layer: Standing, others: readonly Standing[]): number {
  let sum = 0;
  for (const other of others) {
    if (other.id === layer.id) continue;
    const common = intersect(layer.seen, other.seen);
    if (!common || Math.min(common.width, common.height) < HAIR) continue;
    if (!isOn(layer, other, others) && !isOn(other, layer, others)) sum += area(common);
  }
  return sum;
}
