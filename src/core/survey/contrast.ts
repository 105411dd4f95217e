import { tenthContrast } from '../measure/contrast';
import { isRepeated } from '../fit/tiles';
import { intersect, partOf, type Rect } from '../geometry/rect';
import { contrastRatio, laidOver, over } from '../pixels/colour';
import type { BarResult } from '../screens/bars';
import type { FilePixels } from '../pixels/file';
import { coloursOf, rgbaOf, type Colours, type Rgba } from '../pixels/raster';
import type { Appearance } from '../scene/values';
import { backdropOf, opacityOf, passingBackdrop } from './backdrop';
import type { SurveyInput } from './prepare';
import type { CaseResult, LayerResult, PictureResult, PlacedResult, TextResult } from './result';

/** What stands out, or does not: the colour of a layer's ink, and the tiles that lie under it. */
export interface InkOnTiles {
  ink: Rgba;
  tiles: Colours;
}

const faded = (colour: Rgba, opacity: number): Rgba =>
  opacity < 1 ? { ...colour, a: colour.a * opacity } : colour;

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

function pictureInk(layer: PictureResult, pixels: Pixels): Seen | null {
  if (isRepeated(layer.placement)) return null;
  const file = pixels.get(layer.rendition.hash);
  const rect = file?.ink && inkRect(layer, file.ink.bounds);
  if (!file?.ink || !rect) return null;
  return { ink: layer.tint ? rgbaOf(layer.tint) : file.ink.colour, rect, own: file.border };
}

function textInk({ colour, placement }: TextResult): Seen | null {
  const rect = placement.visible;
  return rect && { ink: rgbaOf(colour), rect, own: null };
}

/** Contrast is of texts and logos only. */
export const isMeasured = ({ role }: LayerResult) => role === 'text' || role === 'logo';

/**
 * The ink of a text or a logo on one case, as see-through as the layer is; `null` for every other layer, and for what
 * is not seen.
 * @param layers of the case
 */
function inkSeen(layer: PlacedResult, layers: readonly LayerResult[], pixels: Pixels): Seen | null {
  if (layer.kind === 'panel' || !isMeasured(layer)) return null;
  const seen = layer.kind === 'text' ? textInk(layer) : pictureInk(layer, pixels);
  if (seen) seen.ink = faded(seen.ink, opacityOf(layer, layers));
  return seen;
}

/**
 * WCAG contrast of a text or a logo with what lies under it: the tenth percentile over 8 × 8 tiles, 1 to 21.
 * @param at its place in the drawing order
 */
export function contrastOf(
  layer: PlacedResult,
  at: number,
  layers: readonly LayerResult[],
  pixels: Pixels | null,
  appearance: Appearance,
): number | null {
  const seen = pixels && inkSeen(layer, layers, pixels);
  if (!seen) return null;
  const { ink, own, rect } = seen;
  if (own) return contrastRatio(ink.a < 1 ? over(ink, own) : ink, own);
  return tenthContrast(ink, passingBackdrop(rect, layers, pixels, appearance, at));
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
  return tenthContrast(rgbaOf(ink), own ? laidOver(own, below) : below);
}

/** The ink of a layer of a case that is surveyed, and the tiles under it; `null` as above, and without pixels. */
export function inkOn(result: CaseResult, layerId: string, input: SurveyInput): InkOnTiles | null {
  const at = result.layers.findIndex((l) => l.id === layerId);
  const layer = result.layers[at];
  if (!layer || layer.kind === 'ground') return null;
  const { pixels } = input;
  const seen = pixels && inkSeen(layer, result.layers, pixels);
  if (!seen) return null;
  const { ink, own, rect } = seen;
  const below = result.layers.slice(0, at);
  return { ink, tiles: own ? coloursOf([own]) : backdropOf(rect, below, pixels, result.appearance) };
}
