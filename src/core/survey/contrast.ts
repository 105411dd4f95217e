import { tenthPercentile, tileContrasts } from '../measure/contrast';
import { isRepeated } from '../fit/tiles';
import { intersect, partOf, type Rect } from '../geometry/rect';
import { contrastRatio, laidOver } from '../pixels/colour';
import type { BarResult } from '../screens/bars';
import type { FilePixels } from '../pixels/file';
import { coloursOf, countOf, rgbaOf, type Colours, type Rgba } from '../pixels/raster';
import type { Appearance } from '../scene/values';
import { backdropOf, opacityOf, passingBackdrop, TILES } from './backdrop';
import type { SurveyInput } from './prepare';
import type { CaseResult, LayerResult, PictureResult, PlacedResult } from './result';

/** What stands out, or does not: the colour of a layer's ink, and the tiles that lie under it. */
export interface InkOnTiles {
  ink: Rgba;
  tiles: Colours;
}

const faded = (colour: Rgba, opacity: number): Rgba => ({ ...colour, a: colour.a * opacity });

/** The ink of a picture on the screen, as far as it is seen. */
function inkRect({ placement: p }: PictureResult, bounds: Rect): Rect | null {
  return p.visible && intersect(partOf(p.drawn, bounds), p.visible);
}

export type Pixels = ReadonlyMap<string, FilePixels>;

interface Seen {
  ink: Rgba;
  /** where it lies */
  rect: Rect;
  /** the colour that the ink of an opaque picture stands on */
  own: Rgba | null;
}

function seenInk(layer: PlacedResult, pixels: Pixels): Seen | null {
  if (layer.kind === 'text') {
    const rect = layer.placement.visible;
    return rect && { ink: rgbaOf(layer.colour), rect, own: null };
  }
  if (layer.kind !== 'picture' || isRepeated(layer.placement)) return null;
  const file = pixels.get(layer.rendition.hash);
  const rect = file?.ink && inkRect(layer, file.ink.bounds);
  if (!file?.ink || !rect) return null;
  return { ink: layer.tint ? rgbaOf(layer.tint) : file.ink.colour, rect, own: file.border };
}

/** Contrast is of texts and logos only. */
export const isMeasured = ({ role }: LayerResult) => role === 'text' || role === 'logo';

/**
 * The ink of a text or a logo and what lies under it on one case; `null` for every other layer, for what is not seen,
 * and while the pixels are not known.
 * @param below everything drawn before it
 */
function inkOnTiles(
  layer: PlacedResult,
  below: readonly LayerResult[],
  pixels: Pixels | null,
  appearance: Appearance,
  look: typeof backdropOf,
): InkOnTiles | null {
  const seen = pixels && isMeasured(layer) ? seenInk(layer, pixels) : null;
  if (!seen) return null;
  const opacity = opacityOf(layer, below);
  const ink = opacity < 1 ? faded(seen.ink, opacity) : seen.ink;
  return { ink, tiles: seen.own ? coloursOf([seen.own]) : look(seen.rect, below, pixels!, appearance) };
}

/** Room for the contrasts of one grid after another. */
const contrasts = new Float64Array(TILES.columns * TILES.rows);

const tenthOf = (ink: Rgba, tiles: Colours): number =>
  tenthPercentile(tileContrasts(ink, tiles, countOf(tiles) === contrasts.length ? contrasts : undefined));

/** WCAG contrast of a text or a logo with what lies under it: the tenth percentile over 8 × 8 tiles, 1 to 21. */
export function contrastOf(
  layer: PlacedResult,
  below: readonly LayerResult[],
  pixels: Pixels | null,
  appearance: Appearance,
): number | null {
  const found = inkOnTiles(layer, below, pixels, appearance, passingBackdrop);
  return found && tenthOf(found.ink, found.tiles);
}

/** Contrast of the signs on a bar with what lies under the bar, or with its own colour. */
export function barContrast(
  { rect, colour, ink }: BarResult,
  layers: readonly LayerResult[],
  pixels: Pixels | null,
  appearance: Appearance,
): number | null {
  if (!pixels) return null;
  const own = colour ? rgbaOf(colour) : null;
  if (own?.a === 1) return contrastRatio(rgbaOf(ink), own);
  const below = passingBackdrop(rect, layers, pixels, appearance);
  return tenthOf(rgbaOf(ink), own ? laidOver(own, below) : below);
}

/** The same of a layer of a case that is surveyed. */
export function inkOn(result: CaseResult, layerId: string, input: SurveyInput): InkOnTiles | null {
  const at = result.layers.findIndex((l) => l.id === layerId);
  const layer = result.layers[at];
  if (!layer || layer.kind === 'ground') return null;
  return inkOnTiles(layer, result.layers.slice(0, at), input.pixels ?? null, result.appearance, backdropOf);
}
