import { distances, intersect, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { paintedRect } from '../fit/tiles';

export interface Clearance {
  safe: PerSide;
  screen: PerSide;
}

/** What of the picture is drawn on the screen, copies taken together; `null` when nothing is. */
export function visibleDrawing(p: Placement, screen: Rect): Rect | null {
  const painted = p.clipped ? intersect(paintedRect(p), p.box) : paintedRect(p);
  return painted && intersect(painted, screen);
}

/** Distance of the visible drawing to each edge of the safe area and of the screen, lu; negative = it intrudes. */
export function clearance(p: Placement, safe: Rect, screen: Rect): Clearance | null {
  const seen = visibleDrawing(p, screen);
  return seen && { safe: distances(seen, safe), screen: distances(seen, screen) };
}
