import { luminance, luminanceAt, over, ratioOf } from '../pixels/colour';
import { colourAt, countOf, type Colours, type Rgba } from '../pixels/raster';

/** How many tiles may have less contrast than the figure says: under a tenth of them. */
const PERCENTILE = 0.1;

/**
 * Contrast of ink with one of the tiles that lie under it, 1 to 21. Ink that is see-through is mixed with its tile.
 * Source: WCAG 2.2, contrast ratio.
 * @param own luminance of the ink by itself
 */
const contrastAt = (ink: Rgba, own: number, tiles: Colours, i: number): number =>
  ratioOf(ink.a < 1 ? luminance(over(ink, colourAt(tiles, i))) : own, luminanceAt(tiles, i));

/** Contrast of each of many colours with the one beside it, 1 to 21. Source: WCAG 2.2, contrast ratio. */
export const contrastsOf = (inks: Colours, tiles: Colours): number[] =>
  Array.from({ length: countOf(tiles) }, (_, i) => ratioOf(luminanceAt(inks, i), luminanceAt(tiles, i)));

/** The tenth percentile by nearest rank: at least nine tenths of the contrasts are this or more. @param list not empty */
export const tenthOf = (list: readonly number[]): number =>
  list.toSorted((a, b) => a - b)[Math.ceil(list.length * PERCENTILE) - 1]!;

/** The least few of one list after another: making room for them takes longer than finding them. */
let room = new Float64Array(0);

/**
 * The tenth percentile of the contrasts of ink with tiles that it lies on, found without a list of them: surveys ask for
 * it thousands of times.
 * @param ink may be see-through @param tiles opaque, at least one
 */
export function tenthContrast(ink: Rgba, tiles: Colours): number {
  const count = countOf(tiles);
  const rank = Math.ceil(count * PERCENTILE);
  if (room.length < rank) room = new Float64Array(rank);
  const least = room;
  const own = luminance(ink);
  // Only the least few are asked for: they are kept in order, the greatest of them last.
  const last = rank - 1;
  for (let i = 0; i < count; i++) {
    const value = contrastAt(ink, own, tiles, i);
    if (i > last && value >= least[last]!) continue;
    let at = i < last ? i : last;
    for (; at > 0 && least[at - 1]! > value; at--) least[at] = least[at - 1]!;
    least[at] = value;
  }
  return least[last]!;
}

/** The contrast of ink on a tile under a scrim of an alpha of 0..1. */
export type ScrimmedContrast = (tile: number, alpha: number) => number;

/** The share of a scrim over one tile, from which on the ink has the contrast asked for; `null` for none. */
function enoughOver(tile: number, least: number, contrast: ScrimmedContrast): number | null {
  const holds = (alpha: number) => contrast(tile, alpha) >= least;
  if (!holds(1)) return null;
  // On the way to its own colour a scrim may pass the ink’s: what counts is where the last such stretch ends.
  let [not, enough] = [0, 1];
  for (let i = 0; i <= STEPS; i++) if (!holds(i / STEPS)) not = Math.max(not, i / STEPS);
  if (not === 0 && holds(0)) return 0;
  enough = Math.min(1, not + 1 / STEPS);
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (not + enough) / 2;
    if (holds(middle)) enough = middle;
    else not = middle;
  }
  return enough;
}
const STEPS = 32;
const HALVINGS = 20;

/**
 * The least alpha of a scrim between ink and the tiles under it, with which the tenth percentile of the contrast is at
 * least as asked for, as for every larger alpha; 0 where it is so already, `null` where no alpha does.
 * @param count number of tiles
 */
export function leastScrim(count: number, least: number, contrast: ScrimmedContrast): number | null {
  const needed = Array.from({ length: count }, (_, i) => enoughOver(i, least, contrast) ?? Infinity).toSorted(
    (a, b) => b - a,
  );
  const alpha = needed[Math.ceil(needed.length * PERCENTILE) - 1]!;
  return alpha === Infinity ? null : alpha;
}
