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

/** Area that two layers share, lu²; 0 where one lies on the other as on its ground. @param all for who holds whom */
export function overlapWith(a: Standing, b: Standing, all: readonly Standing[]): number {
  const common = intersect(a.seen, b.seen);
  if (!common || Math.min(common.width, common.height) < HAIR) return 0;
  return isOn(a, b, all) || isOn(b, a, all) ? 0 : area(common);
}

/** Area that a layer shares with others, lu², wholly or in part; but for the panel it lies on, and what lies on it. */
export const overlapOf = (layer: Standing, others: readonly Standing[]): number =>
  others.reduce((sum, o) => (o.id === layer.id ? sum : sum + overlapWith(layer, o, others)), 0);
