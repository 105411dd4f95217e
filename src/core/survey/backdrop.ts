import { isRepeated } from '../fit/tiles';
import { area, contains, type Rect } from '../geometry/rect';
import { areaInRound } from '../measure/glass';
import { isOpaque, type FilePixels } from '../pixels/file';
import { coloursOf, countOf, rgbaOf, type Colours, type Rgba } from '../pixels/raster';
import type { Appearance } from '../scene/values';
import { gridBeside, gridOf, set, type Division, type Grid } from './grid';
import { isRounded, layFill, layMeans, roundOf, roundOff } from './means';
import type { LayerResult, PanelResult } from './result';

/** Under a text, a logo or a bar. */
export const TILES: Division = { columns: 8, rows: 8 };

/** What is seen where nothing is drawn, as a window that nobody has painted: white, or black when it is dark. */
const BEHIND: Record<Appearance, Rgba> = {
  light: { r: 255, g: 255, b: 255, a: 1 },
  dark: { r: 0, g: 0, b: 0, a: 1 },
};

/** Less than this of what is behind is the last bits of a sum. */
const COVERED = 1e-9;

type Pixels = ReadonlyMap<string, FilePixels>;

/** The panels that hold a layer, the innermost first. */
function holdersOf(layer: LayerResult, all: readonly LayerResult[]): PanelResult[] {
  const holders: PanelResult[] = [];
  for (let l: LayerResult | undefined = layer; l && l.kind !== 'ground' && l.parent !== undefined;) {
    const { parent }: { parent?: string | undefined } = l;
    l = all.find((one) => one.id === parent);
    if (l?.kind === 'panel') holders.push(l);
  }
  return holders;
}

const isRoundClip = ({ clip, placement }: PanelResult) => clip && placement.cornerRadius > 0;

const isOpaqueFile = (file: FilePixels | undefined) => file !== undefined && isOpaque(file.sums);

/** Whether round corners leave a part as it is. */
const leaves = (part: Rect, rect: Rect, radius: number) =>
  radius <= 0 || areaInRound(part, { rect, radius }) >= area(part) * (1 - 1e-12);

/** Whether nothing under a layer is looked at in a part of the screen: an opaque file or colour covers it. */
export function covers(layer: LayerResult, part: Rect, all: readonly LayerResult[], pixels: Pixels): boolean {
  if (layer.kind === 'text' || layer.opacity < 1) return false;
  const seen = layer.kind === 'ground' ? layer.box : layer.placement.visible;
  if (!seen || !contains(seen, part)) return false;
  if (layer.kind !== 'ground') {
    const { box, placement } = layer;
    if ((layer.kind === 'panel' || isRounded(layer)) && !leaves(part, box, placement.cornerRadius))
      return false;
    const lets = (h: PanelResult) =>
      h.opacity < 1 || (isRoundClip(h) && !leaves(part, h.box, h.placement.cornerRadius));
    if (holdersOf(layer, all).some(lets)) return false;
  }
  if (layer.kind === 'picture')
    return isOpaqueFile(pixels.get(layer.rendition.hash)) && !layer.tint && !isRepeated(layer.placement);
  return layer.paint.kind === 'colour' && rgbaOf(layer.paint.colour).a === 1;
}

/** Makes the grid’s means its tiles. @param all whether they are opaque @returns how much the least covered one still shows */
function setMeans(grid: Grid, opacity: number, all: boolean): number {
  const { rest, count, means } = grid;
  const { colour, alpha } = means;
  // What the tiles were is no longer needed: they take turns.
  means.colour = grid.tiles;
  grid.tiles = colour;
  if (all && opacity === 1) return 0;
  if (opacity < 1) for (let i = 0; i < colour.length; i++) colour[i]! *= opacity;
  let most = 0;
  for (let i = 0; i < count; i++) {
    const left = 1 - (all ? opacity : alpha[i]! * opacity);
    rest[i] = left;
    if (left > most) most = left;
  }
  return most;
}

/** Adds the grid’s means to its tiles, as far as these are not covered yet. @returns as above */
function addMeans(
  { means: { colour, alpha }, rest, tiles, count }: Grid,
  opacity: number,
  all: boolean,
): number {
  let most = 0;
  for (let i = 0; i < count; i++) {
    const share = opacity * rest[i]!;
    tiles[i * 3]! += colour[i * 3]! * share;
    tiles[i * 3 + 1]! += colour[i * 3 + 1]! * share;
    tiles[i * 3 + 2]! += colour[i * 3 + 2]! * share;
    const left = rest[i]! * (1 - (all ? opacity : alpha[i]! * opacity));
    rest[i] = left;
    if (left > most) most = left;
  }
  return most;
}

/** Layers in drawing order; what a panel holds comes right after it. */
interface Painted {
  layers: readonly LayerResult[];
  pixels: Pixels;
}

/** Which layers are painted by themselves first: panels that fade or round off what they hold. */
function isGroup(layer: LayerResult, at: number, { layers }: Painted): layer is PanelResult {
  if (layer.kind !== 'panel' || (layer.opacity === 1 && !isRoundClip(layer))) return false;
  const next = layers[at + 1];
  return next !== undefined && next.kind !== 'ground' && next.parent === layer.id;
}

/** Laying on a grid, front to back: under what covers it nothing is looked at any more. */
class Pile {
  private lay = setMeans;
  /** how much the least covered tile still shows of what is behind, 0..1 */
  most = 1;

  constructor(readonly grid: Grid) {}

  get isEmpty(): boolean {
    return this.lay === setMeans;
  }

  private add(opacity: number, all: boolean): void {
    if (this.most <= COVERED) return;
    this.most = this.lay(this.grid, opacity, all);
    this.lay = addMeans;
  }

  /** Lays one colour on every tile. */
  addColour(colour: Rgba): void {
    for (let i = 0; i < this.grid.count; i++) set(this.grid.means, i, colour, 1);
    this.add(1, colour.a === 1);
  }

  addLayer(layer: LayerResult, opacity: number, pixels: Pixels): void {
    const laid = layMeans(layer, this.grid, pixels);
    if (laid !== 'nothing') this.add(opacity, laid === 'all');
  }

  /** Lays a panel and the layers from one place of the order to another, which it holds, as one. */
  addGroup(panel: PanelResult, first: number, last: number, painted: Painted): void {
    const inner = new Pile(gridBeside(this.grid));
    inner.addLayers(first, last, painted);
    // What rounds off both its own colour and what it holds is laid on both at once: a corner has one edge, not two.
    const clips = isRoundClip(panel);
    const filled = layFill(panel, inner.grid, !clips);
    if (filled !== 'nothing') inner.add(1, filled === 'all');
    this.write(inner.premultiplied());
    if (clips) roundOff(this.grid, panel.box, roundOf(panel));
    this.add(panel.opacity, false);
  }

  /** Lays the layers from one place of the order to another. */
  addLayers(first: number, last: number, painted: Painted): void {
    const { layers, pixels } = painted;
    for (let k = last; k >= first && this.most > COVERED; k--) {
      const group = outermostGroup(k, first, painted);
      if (group < 0) {
        this.addLayer(layers[k]!, layers[k]!.opacity, pixels);
        continue;
      }
      this.addGroup(layers[group] as PanelResult, group + 1, k, painted);
      k = group;
    }
  }

  /** What is laid so far, as means. */
  premultiplied(): Grid['means'] {
    const { tiles, rest, count } = this.grid;
    if (this.isEmpty) return { colour: new Float64Array(count * 3), alpha: new Float64Array(count) };
    return {
      colour: tiles.slice(),
      alpha: this.most === 0 ? new Float64Array(count).fill(1) : rest.map((r) => 1 - r),
    };
  }

  private write({ colour, alpha }: Grid['means']): void {
    this.grid.means.colour.set(colour);
    this.grid.means.alpha.set(alpha);
  }
}

/** Where in the order the outermost group lies that holds a layer, at or after a place; −1 for none. */
function outermostGroup(k: number, first: number, painted: Painted): number {
  const { layers } = painted;
  let found = -1;
  for (let at = k; at >= first;) {
    const layer = layers[at]!;
    if (at < k && isGroup(layer, at, painted)) found = at;
    const parent = layer.kind === 'ground' ? undefined : layer.parent;
    if (parent === undefined) break;
    at = layers.findIndex((l) => l.id === parent);
  }
  return found;
}

/** How a colour that is laid under a faded panel’s opacity is seen: `scale` of it, less with what it covers. */
interface Through {
  /** product of the opacities of all panels around */
  scale: number;
  /** added for each alpha of 1, three for each tile */
  byAlpha: Float64Array;
  /** added in any case, three for each tile */
  constant: Float64Array;
}

/** What lies under one place of the drawing order, tile by tile, row by row. */
export interface Under {
  /** premultiplied, three for each tile */
  colours: Colours;
  /** 0..1 for each tile; `null` where all of it is opaque */
  alpha: Float64Array | null;
  /** through what it is seen; `null` where no panel around fades it */
  through: Through | null;
}

/** One level more around: the group is laid with an opacity over other tiles. */
function seenThrough(outer: Through | null, opacity: number, { colour, alpha }: Grid['means']): Through {
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

function pileOf(first: number, last: number, panel: PanelResult | null, grid: Grid, painted: Painted): Pile {
  const pile = new Pile(grid);
  pile.addLayers(panel ? first + 1 : first, last, painted);
  if (panel && pile.most > COVERED) pile.addLayer(panel, 1, painted.pixels);
  return pile;
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
  const painted = { layers, pixels };
  const grid = gridOf(rect, division);
  const levels = levelsBelow(count, layers);
  let last = count - 1;
  const piles = levels.map(({ from, panel }, i) => {
    const pile = pileOf(from, last, panel, i === 0 ? grid : gridBeside(grid), painted);
    last = from - 1;
    return pile;
  });
  const outermost = piles.at(-1)!;
  if (outermost.most > COVERED) outermost.addColour(BEHIND[appearance]);
  if (piles.length === 1) return { colours: grid.tiles, alpha: null, through: null };
  let through: Through | null = null;
  for (let i = piles.length - 1; i > 0; i--)
    through = seenThrough(through, levels[i - 1]!.panel!.opacity, piles[i]!.premultiplied());
  const { colour, alpha } = piles[0]!.premultiplied();
  return { colours: colour, alpha, through };
}

/** What is seen of a tile where colours are laid over what lies there, back to front; with none, of that itself. */
export function seenAt({ colours, alpha, through }: Under, tile: number, laid: readonly Rgba[]): Rgba {
  let a = alpha ? alpha[tile]! : 1;
  for (const colour of laid) a = colour.a + a * (1 - colour.a);
  const of = (channel: 'r' | 'g' | 'b', k: number) => {
    let value = colours[k]!;
    for (const colour of laid) value = colour[channel] * colour.a + value * (1 - colour.a);
    return through ? through.scale * value + through.byAlpha[k]! * a + through.constant[k]! : value;
  };
  return { r: of('r', tile * 3), g: of('g', tile * 3 + 1), b: of('b', tile * 3 + 2), a: 1 };
}

/** The same of every tile. */
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
