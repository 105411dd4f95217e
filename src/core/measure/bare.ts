import {
  area,
  bottom,
  clamp,
  intersect,
  rectOf,
  right,
  sidesOf,
  type PerSide,
  type Rect,
} from '../geometry/rect';
import type { Placement } from '../fit/place';
import { coveredArea, paintedRect } from '../fit/tiles';
import { Losses, NO_LOSS, type WithTotal } from './crop';

export class BareScreen extends Losses {
  constructor(
    left: number,
    right: number,
    top: number,
    bottom: number,
    total: number,
    /** from each edge of the screen to the picture, lu, ≥ 0 */
    readonly distance: PerSide,
  ) {
    super(left, right, top, bottom, total);
  }
}

const share = (part: number, whole: number) => (whole > 0 ? clamp(part / whole, 0, 1) : 0);

const totalIn = (window: Rect, p: Placement) => 1 - share(coveredArea(p, window), area(window));

/** Distance from each edge of a window to the picture, as far as it is seen in another one, lu, ≥ 0. */
function gapsIn(window: Rect, p: Placement, seenIn: Rect | null = null): PerSide {
  const painted = paintedRect(p);
  const inBox = p.clipped ? (intersect(painted, p.box) ?? rectOf(p.box.x, p.box.y, 0, 0)) : painted;
  const drawn = seenIn ? (intersect(inBox, seenIn) ?? rectOf(inBox.x, inBox.y, 0, 0)) : inBox;
  return sidesOf(
    clamp(drawn.x - window.x, 0, window.width),
    clamp(right(window) - right(drawn), 0, window.width),
    clamp(drawn.y - window.y, 0, window.height),
    clamp(bottom(window) - bottom(drawn), 0, window.height),
  );
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
  return new Losses(
    share(gaps.left, p.box.width),
    share(gaps.right, p.box.width),
    share(gaps.top, p.box.height),
    share(gaps.bottom, p.box.height),
    total,
  );
}

/**
 * What stays bare of the whole screen, with the distance in lu from each edge of the screen.
 * @param window what ends the view of the picture: the screen, and each clipping panel around it
 */
export function bareScreen(p: Placement, screen: Rect, window: Rect): BareScreen {
  const distance = gapsIn(screen, p, window);
  return new BareScreen(
    share(distance.left, screen.width),
    share(distance.right, screen.width),
    share(distance.top, screen.height),
    share(distance.bottom, screen.height),
    1 - share(coveredArea(p, window), area(screen)),
    distance,
  );
}
