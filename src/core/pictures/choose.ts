import type { Size } from '../geometry/rect';
import { SLOT_KIND, type Screen } from '../screens/screen';
import { isPortrait, type Orientation } from '../screens/turn';
import type { Appearance } from '../values/values';
import { masterOfSet } from './master';
import { widestOf, type Cut, type Picture, type Rendition } from './picture';

/** The file that a case takes, and the cut it belongs to. */
export interface Choice {
  cut: Cut;
  rendition: Rendition;
}

const BASELINE_DPI = 160;

/** Whole-number scales: an exact match, else the smallest larger one, else the largest there is. */
export function chooseWholeNumber(available: readonly number[], scale: number): number {
  const larger = available.filter((s) => s >= scale);
  return larger.length > 0 ? Math.min(...larger) : Math.max(...available);
}

/** Of two density classes the one that a screen of `r` dpi takes; scaling down is preferred unless the lower is very near. */
function betterClass(a: number, b: number, r: number): number {
  const low = Math.min(a, b);
  const high = Math.max(a, b);
  if (low === r || high === r) return r;
  if (high < r) return high;
  if (low > r) return low;
  return (2 * low - r) * high > r * r ? low : high;
}

/** Density classes, compared in pairs; all figures in dpi. */
export const chooseDensityClass = (available: readonly number[], dpi: number): number =>
  available.reduce((best, d) => betterClass(best, d, dpi));

/** The cut that is shown upright or in landscape: its own, else the one for any orientation, else the first. */
export function cutFor(cuts: readonly Cut[], wanted: 'portrait' | 'landscape'): Cut {
  return cuts.find((c) => c.cut === wanted) ?? cuts.find((c) => c.cut === 'any') ?? cuts[0]!;
}

function candidatesOf({ renditions }: Cut, appearance: Appearance): Rendition[] {
  const has = (wanted: Appearance) => renditions.some((r) => r.appearance === wanted);
  const shown = has(appearance) ? appearance : 'light';
  return has(shown) ? renditions.filter((r) => r.appearance === shown) : renditions;
}

/**
 * Cut by orientation, then appearance (dark falls back to light, and light to dark where nothing else is there),
 * then density by the policy of the screen's family. A vector goes before every bitmap.
 */
export function chooseRendition(
  picture: Picture,
  screen: Screen,
  orientation: Orientation,
  appearance: Appearance,
): Choice {
  const cut = cutFor(picture.cuts, isPortrait(orientation) ? 'portrait' : 'landscape');
  const candidates = candidatesOf(cut, appearance);
  const vector = candidates.find((r) => r.vector);
  if (vector || candidates.length === 1) return { cut, rendition: vector ?? candidates[0]! };
  // An icon is made from its master: nothing chooses among files while it is looked at.
  if (screen.kind === SLOT_KIND) return { cut, rendition: masterOfSet(candidates) ?? widestOf(candidates) };
  const dpis = candidates.map((r) => Math.round(r.density * BASELINE_DPI));
  const picked =
    screen.family === 'whole-number'
      ? candidates.find(
          (r) =>
            r.density ===
            chooseWholeNumber(
              candidates.map((c) => c.density),
              screen.density,
            ),
        )
      : candidates[dpis.indexOf(chooseDensityClass(dpis, Math.round(screen.density * BASELINE_DPI)))];
  return { cut, rendition: picked ?? candidates[0]! };
}

/** Natural size in logical units. */
export const naturalSizeOf = (r: Rendition): Size => ({
  width: r.widthPx / r.density,
  height: r.heightPx / r.density,
});
