import { distances, intersect, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { paintedRect } from '../fit/tiles';

export interface Clearance {
  safe: PerSide;
  screen: PerSide;
}

/** Where a layer is looked for: the whole screen, and the part of it in which the layer can be seen. */
export interface View {
  screen: Rect;
  window: Rect;
}

/** What of the drawing can be seen, copies taken together; `null` when nothing can. */
export function visibleDrawing(p: Placement, window: Rect): Rect | null {
  const painted = p.clipped ? intersect(paintedRect(p), p.box) : paintedRect(p);
  return painted && intersect(painted, window);
}

/** Distance of the visible drawing to each edge of the safe area and of the screen, lu; negative = it intrudes. */
export function clearance(p: Placement, safe: Rect, { screen, window }: View): Clearance | null {
  const seen = visibleDrawing(p, window);
  return seen && { safe: distances(seen, safe), screen: distances(seen, screen) };
}
