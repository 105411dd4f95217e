import { area, clamp, distances, intersect, mapSides, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { coveredArea, paintedRect } from '../fit/tiles';
import type { WithTotal } from './crop';

export interface BareScreen extends WithTotal {
  /** distance from each edge of the screen to the picture, lu, ≥ 0 */
  distance: PerSide;
}

const share = (part: number, whole: number) => (whole > 0 ? clamp(part / whole, 0, 1) : 0);

function bareIn(window: Rect, p: Placement): WithTotal & { distance: PerSide } {
  const painted = paintedRect(p);
  const drawn = p.clipped ? (intersect(painted, p.box) ?? { ...p.box, width: 0, height: 0 }) : painted;
  const gaps = distances(drawn, window);
  const distance = mapSides((s) =>
    clamp(gaps[s], 0, s === 'left' || s === 'right' ? window.width : window.height),
  );
  return {
    left: share(distance.left, window.width),
    right: share(distance.right, window.width),
    top: share(distance.top, window.height),
    bottom: share(distance.bottom, window.height),
    total: 1 - share(coveredArea(p, window), area(window)),
    distance,
  };
}

/**
 * Share of the box that the picture leaves empty: per side the extent, as the total the area, gaps between tiles
 * included, 0..1. `null` for a box without area.
 */
export function bare(p: Placement): WithTotal | null {
  if (area(p.box) <= 0) return null;
  const { distance: _, ...shares } = bareIn(p.box, p);
  return shares;
}

/** The same of the whole screen, with the distance in lu from each edge of the screen. */
export const bareScreen = (p: Placement, screen: Rect): BareScreen => bareIn(screen, p);
