import { area, bottom, clamp, intersect, right, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { coveredArea, paintedRect } from '../fit/tiles';
import { NO_LOSS, type WithTotal } from './crop';

/** `distance`: from each edge of the screen to the picture, lu, ≥ 0. */
export type BareScreen = WithTotal & { readonly distance: PerSide };

const share = (part: number, whole: number) => (whole > 0 ? clamp(part / whole, 0, 1) : 0);

const totalIn = (window: Rect, p: Placement) => 1 - share(coveredArea(p, window), area(window));

/** Distance from each edge of a window to the picture, lu, ≥ 0. */
function gapsIn(window: Rect, p: Placement): PerSide {
  const painted = paintedRect(p);
  const drawn = p.clipped
    ? (intersect(painted, p.box) ?? { x: p.box.x, y: p.box.y, width: 0, height: 0 })
    : painted;
  return {
    left: clamp(drawn.x - window.x, 0, window.width),
    right: clamp(right(window) - right(drawn), 0, window.width),
    top: clamp(drawn.y - window.y, 0, window.height),
    bottom: clamp(bottom(window) - bottom(drawn), 0, window.height),
  };
}

/**
 * Share of the box that the picture leaves empty: per side the extent, as the total the area, gaps between tiles
 * included, 0..1. `null` for a box without area.
 */
export function bare(p: Placement): WithTotal | null {
  if (area(p.box) <= 0) return null;
  const total = totalIn(p.box, p);
  if (total === 0) return NO_LOSS;
  const gaps = gapsIn(p.box, p);
  return {
    left: share(gaps.left, p.box.width),
    right: share(gaps.right, p.box.width),
    top: share(gaps.top, p.box.height),
    bottom: share(gaps.bottom, p.box.height),
    total,
  };
}

/** The same of the whole screen, with the distance in lu from each edge of the screen. */
export function bareScreen(p: Placement, screen: Rect): BareScreen {
  const distance = gapsIn(screen, p);
  return {
    left: share(distance.left, screen.width),
    right: share(distance.right, screen.width),
    top: share(distance.top, screen.height),
    bottom: share(distance.bottom, screen.height),
    total: totalIn(screen, p),
    distance,
  };
}
