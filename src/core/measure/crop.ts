import { area, clamp, distances, intersect, type PerSide, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { isRepeated } from '../fit/tiles';

export type WithTotal = Readonly<PerSide & { total: number }>;

export class Losses implements WithTotal {
  constructor(
    readonly left: number,
    readonly right: number,
    readonly top: number,
    readonly bottom: number,
    readonly total: number,
  ) {}
}

/** Most layers lose nothing on most cases: they share one result, so that there is less to keep of thousands. */
export const NO_LOSS: WithTotal = new Losses(0, 0, 0, 0, 0);

/**
 * Hidden extent ÷ drawn extent per side, and hidden area ÷ drawn area as the total, 0..1; the sides do not sum
 * to the total. `null` for a repeated picture, of which some copy is nearly always cut.
 * @param screen the whole screen, lu
 */
export function crop(p: Placement, screen: Rect): WithTotal | null {
  if (isRepeated(p) || area(p.drawn) <= 0) return null;
  const window = p.clipped ? intersect(p.box, screen) : screen;
  const shown = p.visible ? area(p.visible) : 0;
  const lost = clamp(1 - shown / area(p.drawn), 0, 1);
  // The last bits of a sum are no crop.
  const total = lost < 1e-12 ? 0 : lost;
  if (total === 0) return NO_LOSS;
  if (!window) return new Losses(0, 0, 0, 0, total);
  const hidden = distances(window, p.drawn);
  const { width, height } = p.drawn;
  return new Losses(
    clamp(hidden.left / width, 0, 1),
    clamp(hidden.right / width, 0, 1),
    clamp(hidden.top / height, 0, 1),
    clamp(hidden.bottom / height, 0, 1),
    total,
  );
}
