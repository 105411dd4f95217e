import { isRepeated } from '../fit/tiles';
import { area, contains, type Rect } from '../geometry/rect';
import { areaInRound } from '../measure/glass';
import { isOpaque, type FilePixels } from '../pixels/file';
import { rgbaOf, type Rgba } from '../pixels/raster';
import { gridBeside, set, type Grid } from './grid';
import { isRounded, layFill, layMeans, roundOf, roundOff } from './means';
import type { LayerResult, PanelResult } from './result';

/** Less than this of what is behind is the last bits of a sum. */
export const COVERED = 1e-9;

export type Pixels = ReadonlyMap<string, FilePixels>;

/** The panels that hold a layer, the innermost first. */
export function holdersOf(layer: LayerResult, all: readonly LayerResult[]): PanelResult[] {
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
export interface PaintedLayers {
  layers: readonly LayerResult[];
  pixels: Pixels;
}

/** Which layers are painted by themselves first: panels that fade or round off what they hold. */
function isGroup(layer: LayerResult, at: number, { layers }: PaintedLayers): layer is PanelResult {
  if (layer.kind !== 'panel' || (layer.opacity === 1 && !isRoundClip(layer))) return false;
  const next = layers[at + 1];
  return next !== undefined && next.kind !== 'ground' && next.parent === layer.id;
}

/** Laying on a grid, front to back: under what covers it nothing is looked at any more. */
export class Pile {
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
  addGroup(panel: PanelResult, first: number, last: number, painted: PaintedLayers): void {
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
  addLayers(first: number, last: number, painted: PaintedLayers): void {
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
function outermostGroup(k: number, first: number, painted: PaintedLayers): number {
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
