import { distances, intersect, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { isRepeated, paintedRect } from '../fit/tiles';

export class Clearance {
  constructor(
    readonly safe: PerSide,
    readonly screen: PerSide,
  ) {}
}

/** What of the drawing can be seen, copies taken together; `null` when nothing can. @param window that it was placed in */
export function visibleDrawing(p: Placement, window: Rect): Rect | null {
  if (!isRepeated(p)) return p.visible;
  const painted = p.clipped ? intersect(paintedRect(p), p.box) : paintedRect(p);
  return painted && intersect(painted, window);
}

/** Distance of the visible drawing to each edge of the safe area and of the screen, lu; negative = it intrudes. */
export const clearance = (seen: Rect | null, safe: Rect, screen: Rect): Clearance | null =>
  seen && new Clearance(distances(seen, safe), distances(seen, screen));
