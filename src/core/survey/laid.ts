import { extent, mirrored, type Axis, type Rect } from '../geometry/rect';
import { naturalSizeOf, type Choice } from '../pictures/choose';
import { createResolver, type Placeable, type Resolver } from '../placing/resolve';
import { isPlaced, type Layer, type PanelLayer, type Scene, type TextLayer } from '../scene/scene';
import { resolveLength, type NamedValue } from '../scene/values';
import type { Regions } from '../screens/regions';
import { setText, type TextBlock, type TextMetrics } from '../text/layout';
import { faceOf } from '../text/style';

/** Where the layers of one case lie. */
export interface Laid {
  placeables: ReadonlyMap<string, Placeable>;
  /** in the right-to-left preview it places in the mirror */
  resolver: Resolver;
  boxOf: (id: string) => Rect;
  /** where the rule of a layer that says “middle” puts it, absolute, and how far that is from the region’s middle */
  middleOf: (id: string, axis: Axis) => { at: number; shift: number };
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
  /** by the width and the height of the room that they were set in */
  blocks: Map<number, Map<number | undefined, TextBlock>>;
}

/**
 * A text is set in the same room on many cases, and several times on each: every block is kept for as long as its
 * style is. Documents are never changed in place, so a style that is the same object is the same style.
 */
const known = new WeakMap<TextLayer['style'], Blocks>();

/** Rooms of so many widths are kept of one style: several times those that all screens have. */
const MOST_WIDTHS = 4000;

/** The lines of a text in a room. @param within its width, lu; @param height absent while its size is being found */
export function blockOf(
  layer: TextLayer,
  fonts: TextMetrics | null,
  within: number,
  height?: number,
): TextBlock {
  const { text, style } = layer;
  let kept = known.get(style);
  if (kept?.text !== text || kept.fonts !== fonts) {
    kept = { text, fonts, blocks: new Map() };
    known.set(style, kept);
  }
  let alike = kept.blocks.get(within);
  // A width that is dragged goes through thousands of rooms.
  if (!alike && kept.blocks.size >= MOST_WIDTHS) kept.blocks.clear();
  if (!alike) kept.blocks.set(within, (alike = new Map()));
  let block = alike.get(height);
  if (!block) alike.set(height, (block = setText(text, style, within, checkedFonts(layer, fonts), height)));
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

/** What places layers: lengths that only the case can give are resolved when they are asked for. */
interface Around {
  scene: Pick<Scene, 'direction'>;
  named: readonly NamedValue[];
  fonts: TextMetrics | null;
  regions: Regions;
  /** device px per lu */
  density: number;
  /** boxes that are known already */
  known?: (id: string) => Rect | null;
}

/** @throws as the resolver does, when a box is asked for */
export function layOut(
  { scene, named, fonts, regions, density, known }: Around,
  layers: readonly Layer[],
  chosen: ReadonlyMap<string, Choice>,
): Laid {
  const list = layers.filter(isPlaced).map((l): Placeable => {
    const { id, name, placing, parent, visible } = l;
    const base = { id, name, placing, parent, visible };
    if (l.kind === 'picture') return { ...base, natural: naturalSizeOf(chosen.get(id)!.rendition) };
    if (l.kind === 'panel') return { ...base, padding: paddingOf(l, regions, density, named) };
    const text = {
      widest: (within: number) => blockOf(l, fonts, within).width,
      height: (width: number) => blockOf(l, fonts, width).height,
    };
    return { ...base, text };
  });
  const placeables = new Map(list.map((p) => [p.id, p]));
  const rtl = scene.direction === 'rtl';
  const { width } = regions.screen;
  const resolver = createResolver(list, {
    regions: rtl ? mirroredRegions(regions) : regions,
    density,
    named,
    known: (id) => {
      const box = known?.(id) ?? null;
      return box && rtl ? mirrored(box, width) : box;
    },
  });
  return {
    placeables,
    resolver,
    middleOf: (id, axis) => {
      const { at, shift } = resolver.middle(placeables.get(id)!, axis);
      return rtl && axis === 'x' ? { at: width - at, shift: -shift } : { at, shift };
    },
    boxOf: (id) => (rtl ? mirrored(resolver.box(id), width) : resolver.box(id)),
  };
}
