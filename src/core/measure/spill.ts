import { area, intersect } from '../geometry/rect';
import type { Placement } from '../fit/place';

/** Share of a drawing's area that lies outside its box and is not cut off there, 0..1; of a repeated one nothing. */
export function spill(p: Placement): number {
  if (p.clipped || area(p.drawn) <= 0) return 0;
  const inside = intersect(p.drawn, p.box);
  const share = 1 - (inside ? area(inside) : 0) / area(p.drawn);
  return share < 1e-12 ? 0 : share;
}
