import { contrastsOf, tenthContrast, tenthOf } from '../measure/contrast';
import { isRepeated } from '../fit/tiles';
import { area, intersect, partOf, type Rect } from '../geometry/rect';
import { contrastRatio, laidOver } from '../pixels/colour';
import type { BarResult } from '../screens/bars';
import { inkBounds, isOpaque } from '../pixels/file';
import { rgbaOf, type Colours, type Rgba } from '../pixels/raster';
import type { Appearance } from '../values/values';
import { passingUnder, seenAt, seenOn } from './backdrop';
import type { SurveyInput } from './prepare';
import type { CaseResult, LayerResult, PictureResult, PlacedResult, TextResult } from './result';
import type { Pixels } from './pile';

/** What stands out, or does not: the colours of a layer’s ink as they are seen, tile by tile, and those beside it. */
export interface InkOnTiles {
  inks: Colours;
  tiles: Colours;
  /** the ink by itself, as see-through as its layer is */
  ink: Rgba;
  /** whether it stands on the border of its own opaque picture */
  onBorder: boolean;
  /** contrast on a tile with a scrim right under the layer */
  scrimmed: (tile: number, scrim: Rgba) => number;
}

const faded = (colour: Rgba, opacity: number): Rgba =>
  opacity < 1 ? { ...colour, a: colour.a * opacity } : colour;

/** The ink of a picture on the screen, as far as it is seen. */
function inkRect({ placement: p }: PictureResult, bounds: Rect): Rect | null {
  return p.visible && intersect(partOf(p.drawn, bounds), p.visible);
}

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
  const bounds = file && inkBounds(file, layer.tint !== null);
  const rect = bounds && inkRect(layer, bounds);
  if (!rect) return null;
  // A tint replaces all colours: an opaque picture has no border left to stand on.
  if (layer.tint) return { ink: rgbaOf(layer.tint), rect, own: null };
  return { ink: file!.ink!.colour, rect, own: file!.border };
}

function textInk({ colour, placement }: TextResult): Seen | null {
  const rect = placement.visible;
  return rect && { ink: rgbaOf(colour), rect, own: null };
}

/** A picture of which only parts are drawn: it lets through what lies under it. */
const isSeeThrough = ({ rendition, placement }: PictureResult, pixels: Pixels): boolean => {
  const file = pixels.get(rendition.hash);
  return file !== undefined && !isOpaque(file.sums) && !isRepeated(placement);
};

/** Contrast is of texts, of logos, and of whatever is see-through in parts and no background: it is drawn to be made out. */
export function isMeasured(layer: LayerResult, pixels: Pixels): boolean {
  if (layer.kind === 'text') return true;
  if (layer.kind !== 'picture') return false;
  const { role } = layer;
  return role === 'text' || role === 'logo' || (role !== 'background' && isSeeThrough(layer, pixels));
}

/** The share of the ink of a text, or of a picture that is see-through in parts, that is not seen; `null` of all else. */
export function cutOffOf(layer: PlacedResult, pixels: Pixels): number | null {
  if (layer.kind === 'text') return layer.measures.crop?.total ?? null;
  if (layer.kind !== 'picture' || layer.role === 'background' || !isSeeThrough(layer, pixels)) return null;
  const bounds = inkBounds(pixels.get(layer.rendition.hash)!, layer.tint !== null);
  const ink = bounds && partOf(layer.placement.drawn, bounds);
  if (!ink || area(ink) <= 0) return null;
  const seen = inkRect(layer, bounds);
  return 1 - (seen ? area(seen) : 0) / area(ink);
}

/**
 * The ink of a text or a logo on one case, as see-through as the layer is; `null` for every other layer, and for what
 * is not seen.
 */
function inkSeen(layer: PlacedResult, pixels: Pixels): Seen | null {
  if (layer.kind === 'panel' || !isMeasured(layer, pixels)) return null;
  const seen = layer.kind === 'text' ? textInk(layer) : pictureInk(layer, pixels);
  if (!seen) return null;
  const { opacity } = layer;
  return { rect: seen.rect, ink: faded(seen.ink, opacity), own: seen.own && faded(seen.own, opacity) };
}

/** What is laid on the tiles to see the ink, and what to see what it stands on. */
const laidOf = ({ ink, own }: Seen): [Rgba[], Rgba[]] => [[ink], own ? [own] : []];

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
  const seen = pixels && inkSeen(layer, pixels);
  if (!seen) return null;
  const { ink, own, rect } = seen;
  const under = passingUnder(rect, layers, pixels, appearance, at);
  if (!own && !under.through) return tenthContrast(ink, under.colours);
  const [inks, tiles] = laidOf(seen).map((laid) => seenOn(under, laid));
  return tenthOf(contrastsOf(inks!, tiles!));
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
  const below = passingUnder(rect, layers, pixels, appearance).colours;
  return tenthContrast(rgbaOf(ink), own ? laidOver(own, below) : below);
}

/** The ink of a layer of a case that is surveyed, and the tiles under it; `null` as above, and without pixels. */
export function inkOn(result: CaseResult, layerId: string, input: SurveyInput): InkOnTiles | null {
  const at = result.layers.findIndex((l) => l.id === layerId);
  const layer = result.layers[at];
  if (!layer || layer.kind === 'ground') return null;
  const { pixels } = input;
  const seen = pixels && inkSeen(layer, pixels);
  if (!seen) return null;
  const passing = passingUnder(seen.rect, result.layers, pixels, result.appearance, at);
  const under = { ...passing, colours: passing.colours.slice() };
  const [ink, ground] = laidOf(seen);
  return {
    inks: seenOn(under, ink),
    tiles: seenOn(under, ground),
    ink: seen.ink,
    onBorder: seen.own !== null,
    scrimmed: (tile, scrim) =>
      contrastRatio(seenAt(under, tile, [scrim, ...ink]), seenAt(under, tile, [scrim, ...ground])),
  };
}
