import { extent, mirrored, type Axis, type Rect } from '../geometry/rect';
import { chooseRendition, naturalSizeOf, type Choice } from '../pictures/choose';
import type { Picture } from '../pictures/picture';
import type { FilePixels } from '../pixels/file';
import { createResolver, type Placeable, type Resolver } from '../placing/resolve';
import { isPlaced, type Layer, type PanelLayer, type Scene, type TextLayer } from '../scene/scene';
import { onSize } from '../scene/when';
import { resolveLength, type NamedValue } from '../scene/values';
import type { Case } from '../screens/cases';
import { regionsOf, type Regions } from '../screens/regions';
import { turn, type Turned } from '../screens/turn';
import type { Acceptance } from '../measure/accept';
import type { Limit } from '../measure/limit';
import { setText, type TextBlock, type TextMetrics } from '../text/layout';
import { faceOf } from '../text/style';

/** What a survey takes from outside of the documents; all of it is handed in. */
export interface Outside {
  /** only a scene without text can be surveyed without fonts */
  fonts: TextMetrics | null;
  /** by the hash of the file; without them nothing is said of contrast */
  pixels?: ReadonlyMap<string, FilePixels> | null;
}

export interface SurveyInput extends Outside {
  scene: Scene;
  pictures: readonly Picture[];
  named: readonly NamedValue[];
  limits: readonly Limit[];
  /** of this scene */
  accepted?: readonly Acceptance[];
}

/** One case before anything is drawn: which rules hold, which files are taken, and what places the layers. */
export interface Prepared {
  turned: Turned;
  regions: Regions;
  /** as they are on this case, back to front */
  layers: Layer[];
  /** those that are shown, in the order in which they are drawn */
  drawn: Layer[];
  /** which file each picture layer takes, by layer */
  chosen: ReadonlyMap<string, Choice>;
  placeables: ReadonlyMap<string, Placeable>;
  /** in the right-to-left preview it places in the mirror */
  resolver: Resolver;
  boxOf: (id: string) => Rect;
  /** where the rule of a layer that says “middle” puts it, absolute, and how far that is from the region’s middle */
  middleOf: (id: string, axis: Axis) => { at: number; shift: number };
  /** @param box absolute; absent while its size is being found */
  blockOf: (layer: TextLayer, within: number, height?: number) => TextBlock;
}

function choices(input: SurveyInput, layers: readonly Layer[], turned: Turned, { appearance }: Case) {
  const found = new Map<string, Choice>();
  for (const layer of layers) {
    if (layer.kind !== 'picture') continue;
    const picture = input.pictures.find((p) => p.id === layer.picture);
    if (!picture) throw new Error(`The layer “${layer.name}” shows a picture that is not in the project.`);
    found.set(layer.id, chooseRendition(picture, turned.screen, turned.orientation, appearance));
  }
  return found;
}

const mirroredRegions = ({ screen, safe, content, margins }: Regions): Regions => ({
  screen,
  safe: mirrored(safe, screen.width),
  content: mirrored(content, screen.width),
  margins: mirrored(margins, screen.width),
});

/** Refuses what the fonts do not have, so that it is not drawn wrong. */
function checkedFonts({ name, text, style }: TextLayer, fonts: TextMetrics | null): TextMetrics {
  if (!fonts) throw new Error('The fonts are not loaded yet.');
  const missing = fonts.missing(text, faceOf(style));
  if (missing.length > 0) {
    const list = missing.map((c) => `“${c}”`).join(', ');
    throw new Error(
      `The text of “${name}” has ${list}, which the fonts do not have: Latin, Greek and Cyrillic.`,
    );
  }
  return fonts;
}

interface Blocks {
  text: string;
  fonts: TextMetrics | null;
  /** by the room that they were set in */
  blocks: Map<string, TextBlock>;
}

/**
 * A text is set in the same room on many cases, and several times on each: every block is kept for as long as its
 * style is. Documents are never changed in place, so a style that is the same object is the same style.
 */
const known = new WeakMap<TextLayer['style'], Blocks>();

function keptBlock(layer: TextLayer, within: number, fonts: TextMetrics | null, height?: number): TextBlock {
  const { text, style } = layer;
  let kept = known.get(style);
  if (kept?.text !== text || kept.fonts !== fonts) {
    kept = { text, fonts, blocks: new Map() };
    known.set(style, kept);
  }
  const key = `${within} ${height}`;
  const old = kept.blocks.get(key);
  if (old) return old;
  const block = setText(text, style, within, checkedFonts(layer, fonts), height);
  kept.blocks.set(key, block);
  return block;
}

/** Padding of a panel in lu; % is of the screen along the same axis. */
function paddingOf(
  { padding }: PanelLayer,
  { screen }: Regions,
  density: number,
  named: readonly NamedValue[],
) {
  const along = (axis: Axis, side: keyof typeof padding) =>
    resolveLength(padding[side], extent(screen, axis), density, named);
  return {
    left: along('x', 'left'),
    right: along('x', 'right'),
    top: along('y', 'top'),
    bottom: along('y', 'bottom'),
  };
}

/** A hidden panel hides what it holds. */
function isShown(layer: Layer, layers: readonly Layer[]): boolean {
  if (!layer.visible) return false;
  const holder = isPlaced(layer) && layers.find((l) => l.id === layer.parent);
  return !holder || isShown(holder, layers);
}

/** Whether two choices place alike: one file of another size may move every layer that leans on it. */
const areAlike = (a: Prepared['chosen'], b: Prepared['chosen']) =>
  [...b].every(([id, { cut, rendition: r }]) => {
    const other = a.get(id);
    if (other?.cut !== cut) return false;
    const { widthPx, heightPx, density, vector } = other.rendition;
    return r.widthPx === widthPx && r.heightPx === heightPx && r.density === density && r.vector === vector;
  });

/**
 * The other appearance of a case that is prepared: with files of the same sizes everything lies where it lies there.
 * `null` where it does not.
 */
export function prepareTwin(input: SurveyInput, c: Case, before: Case, prepared: Prepared): Prepared | null {
  if (before.screen !== c.screen || before.rotation !== c.rotation) return null;
  const chosen = choices(input, prepared.layers, prepared.turned, c);
  return areAlike(prepared.chosen, chosen) ? { ...prepared, chosen } : null;
}

/** @throws as the resolver does, and when a picture or a character is not there */
export function prepareCase(input: SurveyInput, c: Case): Prepared {
  const { scene, named, fonts } = input;
  const turned = turn(c.screen, c.rotation);
  const { density } = c.screen;
  const regions = regionsOf(turned, scene.bars, scene.margin, named);
  const here = scene.layers.map((l) => (isPlaced(l) ? onSize(l, turned.size) : l));
  const chosen = choices(input, here, turned, c);
  const blockOf = (layer: TextLayer, within: number, height?: number) =>
    keptBlock(layer, within, fonts, height);
  const placeables = here.filter(isPlaced).map((l): Placeable => {
    const { id, name, placing, parent, visible } = l;
    const base = { id, name, placing, parent, visible };
    if (l.kind === 'picture') return { ...base, natural: naturalSizeOf(chosen.get(id)!.rendition) };
    if (l.kind === 'panel') return { ...base, padding: paddingOf(l, regions, density, named) };
    const text = {
      widest: (within: number) => blockOf(l, within).width,
      height: (width: number) => blockOf(l, width).height,
    };
    return { ...base, text };
  });
  const placeableOf = new Map(placeables.map((p) => [p.id, p]));
  const rtl = scene.direction === 'rtl';
  const seen = rtl ? mirroredRegions(regions) : regions;
  const resolver = createResolver(placeables, { regions: seen, density, named });
  const layers = here.map((l) => (isShown(l, here) === l.visible ? l : { ...l, visible: !l.visible }));
  return {
    turned,
    regions,
    layers,
    drawn: inDrawingOrder(layers).filter((l) => l.visible),
    chosen,
    placeables: placeableOf,
    resolver,
    middleOf: (id, axis) => {
      const { at, shift } = resolver.middle(placeableOf.get(id)!, axis);
      return rtl && axis === 'x' ? { at: regions.screen.width - at, shift: -shift } : { at, shift };
    },
    boxOf: (id) => (rtl ? mirrored(resolver.box(id), regions.screen.width) : resolver.box(id)),
    blockOf,
  };
}

/** Layers in the order in which they are drawn: a panel, then what it holds. */
export function inDrawingOrder(layers: readonly Layer[]): Layer[] {
  const heldBy = (id: string | undefined): Layer[] =>
    layers
      .filter((l) => (isPlaced(l) ? l.parent : undefined) === id)
      .flatMap((l) => [l, ...(l.kind === 'panel' ? heldBy(l.id) : [])]);
  return heldBy(undefined);
}
