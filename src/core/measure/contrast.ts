import { contrastRatio, luminance, luminanceAt, over, ratioOf } from '../pixels/colour';
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

/** The same with each of them. */
export function tileContrasts(ink: Rgba, tiles: Colours): number[] {
  const own = luminance(ink);
  return Array.from({ length: countOf(tiles) }, (_, i) => contrastAt(ink, own, tiles, i));
}

/** The least few of one list after another: making room for them takes longer than finding them. */
let room = new Float64Array(0);

/**
 * The tenth percentile of these contrasts by nearest rank: at least nine tenths of the tiles have this much or more.
 * @param tiles at least one
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

/** The share of a scrim of one colour over one tile, from which on the ink has the contrast asked for; `null` for none. */
function enoughOver(ink: Rgba, tile: Rgba, scrim: Rgba, least: number): number | null {
  const holds = (alpha: number) => {
    const laid = over({ ...scrim, a: alpha }, tile);
    return contrastRatio(over(ink, laid), laid) >= least;
  };
  if (!holds(1)) return null;
  // On the way to its own colour a scrim may pass the ink's: what counts is where the last such stretch ends.
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
 * The least alpha of a scrim of one colour between ink and what lies under it, with which the tenth percentile of the
 * contrast is at least as asked for, as for every larger alpha; 0 where it is so already, `null` where no alpha does.
 */
export function leastScrim(ink: Rgba, tiles: Colours, scrim: Rgba, least: number): number | null {
  const needed = Array.from(
    { length: countOf(tiles) },
    (_, i) => enoughOver(ink, colourAt(tiles, i), scrim, least) ?? Infinity,
  ).toSorted((a, b) => b - a);
  const alpha = needed[Math.ceil(needed.length * PERCENTILE) - 1]!;
  return alpha === Infinity ? null : alpha;
}
