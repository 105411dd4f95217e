import { area, clamp, distances, intersect, mapSides, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { isRepeated } from '../fit/tiles';

export type WithTotal = PerSide & { total: number };

/**
 * Hidden extent ÷ drawn extent per side, and hidden area ÷ drawn area as the total, 0..1; the sides do not sum
 * to the total. `null` for a repeated picture, of which some copy is nearly always cut.
 * @param screen the whole screen, lu
 */
export function crop(p: Placement, screen: Rect): WithTotal | null {
  if (isRepeated(p) || area(p.drawn) <= 0) return null;
  const window = p.clipped ? intersect(p.box, screen) : screen;
  const shown = p.visible ? area(p.visible) : 0;
  const total = clamp(1 - shown / area(p.drawn), 0, 1);
  if (!window) return { left: 0, right: 0, top: 0, bottom: 0, total };
  const hidden = distances(window, p.drawn);
  const along = { left: p.drawn.width, right: p.drawn.width, top: p.drawn.height, bottom: p.drawn.height };
  return { ...mapSides((s) => clamp(hidden[s] / along[s], 0, 1)), total };
}
