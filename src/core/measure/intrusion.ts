import { intersect, unionArea, type Rect } from '../geometry/rect';
import type { Outline } from '../screens/outline';
import type { Turned } from '../screens/turn';
import { hiddenByGlass } from './glass';

/** Where a drawing lies under what is not screen, or not free; areas in lu². */
export class Intrusion {
  constructor(
    readonly cutout: number,
    readonly corner: number,
    /** under the bars that are shown */
    readonly bar: number,
    /** length of fold lines that cross it, lu */
    readonly fold: number,
  ) {}
}

/** Most layers are free on most cases: they share one result. */
const FREE = new Intrusion(0, 0, 0, 0);

/** @param seen what of the drawing can be seen @param bars may cross one another: what lies under two counts once */
export function intrusion(seen: Rect, outline: Outline, bars: readonly Rect[], turned: Turned): Intrusion {
  const { cutout, corner } = hiddenByGlass(seen, outline);
  let under: Rect[] | null = null;
  for (const b of bars) {
    const common = intersect(seen, b);
    if (common) (under ??= []).push(common);
  }
  const bar = under ? unionArea(under) : 0;
  let fold = 0;
  for (const { shape, x, y, width, height } of turned.cutouts) {
    if (shape !== 'hinge' || (width > 0 && height > 0)) continue;
    const across = Math.min(seen.x + seen.width, x + width) - Math.max(seen.x, x);
    const down = Math.min(seen.y + seen.height, y + height) - Math.max(seen.y, y);
    if (across >= 0 && down >= 0) fold += Math.max(across, down);
  }
  return cutout + corner + bar + fold === 0 ? FREE : new Intrusion(cutout, corner, bar, fold);
}
