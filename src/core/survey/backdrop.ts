import { isRepeated } from '../fit/tiles';
import { bottom, intersect, intersects, right, type Rect } from '../geometry/rect';
import { coloursOf, countOf, type Colours, type Rgba } from '../pixels/raster';
import type { Appearance } from '../values/values';
import { gridBeside, gridOf, overTiles, type Cuts, type Division, type Grid } from './grid';
import { COVERED, covers, holdersOf, Pile, type PaintedLayers, type Pixels } from './pile';
import type { LayerResult, PanelResult } from './result';

/** Under a text, a logo or a bar. */
export const TILES: Division = { columns: 8, rows: 8 };

/** What is seen where nothing is drawn, as a window that nobody has painted: white, or black when it is dark. */
const BEHIND: Record<Appearance, Rgba> = {
  light: { r: 255, g: 255, b: 255, a: 1 },
  dark: { r: 0, g: 0, b: 0, a: 1 },
};

/** How a colour that is laid under a faded panel’s opacity is seen: `scale` of it, less with what it covers. */
interface Through {
  /** product of the opacities of all panels around */
  scale: number;
  /** added for each alpha of 1 that is laid, three for each tile */
  byAlpha: Float64Array;
  /** added for what lies there already, less with what covers that, three for each tile */
  byOwn: Float64Array;
  /** added in any case, three for each tile */
  constant: Float64Array;
}

/** What lies under one place of the drawing order, tile by tile, row by row. */
export interface Under {
  /** premultiplied, three for each tile */
  colours: Colours;
  /** through what it is seen; `null` where no panel around fades it */
  through: Through | null;
}

/** What panels around make of what lies in them, cell by cell. */
type Glass = Omit<Through, 'byOwn'>;

/** One level more around: the group is laid with an opacity over other cells. */
function seenThrough(outer: Glass | null, opacity: number, { colour, alpha }: Grid['means']): Glass {
  const scale = outer?.scale ?? 1;
  const byAlpha = new Float64Array(colour.length);
  const constant = new Float64Array(colour.length);
  for (let k = 0; k < colour.length; k++) {
    const a = alpha[(k / 3) | 0]!;
    const by = outer?.byAlpha[k] ?? 0;
    byAlpha[k] = opacity * (by * (1 - a) - scale * colour[k]!);
    constant[k] = scale * colour[k]! + by * a + (outer?.constant[k] ?? 0);
  }
  return { scale: scale * opacity, byAlpha, constant };
}

/** The stretches of the order that lie under a place, from the innermost faded panel around it outwards. */
function levelsBelow(
  count: number,
  layers: readonly LayerResult[],
): { from: number; panel: PanelResult | null }[] {
  const next = layers[count];
  const faded = next ? holdersOf(next, layers).filter((h) => h.opacity < 1) : [];
  return [...faded.map((panel) => ({ from: layers.indexOf(panel), panel })), { from: 0, panel: null }];
}

function pileOf(
  first: number,
  last: number,
  panel: PanelResult | null,
  grid: Grid,
  painted: PaintedLayers,
): Pile {
  const pile = new Pile(grid);
  pile.addLayers(panel ? first + 1 : first, last, painted);
  if (panel && pile.most > COVERED) pile.addLayer(panel, 1, painted.pixels);
  return pile;
}

/** What a layer lays ends at these edges. */
function edgesOf(layer: LayerResult): Rect | null {
  if (layer.kind === 'ground') return layer.box;
  if (layer.kind === 'text') return null;
  if (layer.kind === 'picture' && isRepeated(layer.placement)) return intersect(layer.box, layer.window);
  return layer.placement.visible;
}

function runThrough(edges: Rect, { x, y, width, height }: Rect): boolean {
  if (edges.x >= x + width || edges.y >= y + height || right(edges) <= x || bottom(edges) <= y) return false;
  return edges.x > x || edges.y > y || right(edges) < x + width || bottom(edges) < y + height;
}

/**
 * Edges of layers that run through a rectangle. Two layers that end inside one tile cover the same part of it, or not:
 * means of the whole tile cannot say that, those of its parts can. Where one alone ends, means of the whole are enough.
 */
function cutsIn(rect: Rect, layers: readonly LayerResult[], pixels: Pixels, count: number): Cuts | null {
  const found: Rect[] = [];
  for (let k = count - 1; k >= 0; k--) {
    const edges = edgesOf(layers[k]!);
    if (!edges || !intersects(edges, rect)) continue;
    if (runThrough(edges, rect)) found.push(edges);
    else if (covers(layers[k]!, rect, layers, pixels)) break;
  }
  if (found.length < 2) return null;
  return { x: found.flatMap((r) => [r.x, right(r)]), y: found.flatMap((r) => [r.y, bottom(r)]) };
}

/** The piles under a place, the innermost first, on cells of one grid. */
function pilesUnder(grid: Grid, count: number, painted: PaintedLayers): { pile: Pile; opacity: number }[] {
  let last = count - 1;
  return levelsBelow(count, painted.layers).map(({ from, panel }, i) => {
    const pile = pileOf(from, last, panel, i === 0 ? grid : gridBeside(grid), painted);
    last = from - 1;
    return { pile, opacity: panel?.opacity ?? 1 };
  });
}

/** What is seen of the innermost pile through the panels around it. */
function throughPanels(grid: Grid, piles: readonly { pile: Pile; opacity: number }[]): Under {
  let glass: Glass | null = null;
  for (let i = piles.length - 1; i > 0; i--)
    glass = seenThrough(glass, piles[i - 1]!.opacity, piles[i]!.pile.premultiplied());
  const { colour, alpha } = piles[0]!.pile.premultiplied();
  const { scale, byAlpha, constant } = glass!;
  const byOwn = byAlpha.map((by, k) => by * alpha[(k / 3) | 0]!);
  const mean = (values: Float64Array) => overTiles(grid, values);
  return {
    colours: mean(colour),
    through: { scale, byAlpha: mean(byAlpha), byOwn: mean(byOwn), constant: mean(constant) },
  };
}

/**
 * What lies under one place of the drawing order, for whoever reads it at once: the next call writes over it.
 * @param layers back to front, of which only so many from the back are looked at; what a panel holds comes right after it
 */
export function passingUnder(
  rect: Rect,
  layers: readonly LayerResult[],
  pixels: Pixels,
  appearance: Appearance,
  count = layers.length,
  division = TILES,
): Under {
  const grid = gridOf(rect, division, cutsIn(rect, layers, pixels, count));
  const piles = pilesUnder(grid, count, { layers, pixels });
  const outermost = piles.at(-1)!.pile;
  if (outermost.most > COVERED) outermost.addColour(BEHIND[appearance]);
  if (piles.length > 1) return throughPanels(grid, piles);
  return { colours: overTiles(grid, grid.tiles), through: null };
}

/** What is seen of a tile where colours are laid over what lies there, back to front; with none, of that itself. */
export function seenAt({ colours, through }: Under, tile: number, laid: readonly Rgba[]): Rgba {
  let [own, added] = [1, 0];
  for (const { a } of laid) {
    own *= 1 - a;
    added = a + added * (1 - a);
  }
  const of = (channel: 'r' | 'g' | 'b', k: number) => {
    let value = colours[k]!;
    for (const colour of laid) value = colour[channel] * colour.a + value * (1 - colour.a);
    if (!through) return value;
    const { scale, byOwn, byAlpha, constant } = through;
    return scale * value + byOwn[k]! * own + byAlpha[k]! * added + constant[k]!;
  };
  return { r: of('r', tile * 3), g: of('g', tile * 3 + 1), b: of('b', tile * 3 + 2), a: 1 };
}

/** The colours that are seen on every tile under layers of one colour each. */
export const seenOn = (under: Under, laid: readonly Rgba[]): Colours =>
  coloursOf(Array.from({ length: countOf(under.colours) }, (_, i) => seenAt(under, i, laid)));

/**
 * The mean colour of each tile of a rectangle under everything that is drawn there, mixed as it is coded. Letters under
 * it are left out.
 * @param layers in drawing order
 * @returns row by row
 */
export const backdropOf = (
  rect: Rect,
  layers: readonly LayerResult[],
  pixels: Pixels,
  appearance: Appearance,
  division = TILES,
): Colours => passingUnder(rect, layers, pixels, appearance, layers.length, division).colours.slice();
