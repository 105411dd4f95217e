import { extent, mirrored, type Axis, type Rect } from '../geometry/rect';
import { naturalSizeOf, type Choice } from '../pictures/choose';
import { Resolver, type Placeable } from '../placing/resolve';
import {
  isPlaced,
  type Layer,
  type PanelLayer,
  type PlacedLayer,
  type Scene,
  type TextLayer,
} from '../scene/scene';
import { resolveLength, type NamedValue } from '../values/values';
import type { Regions } from '../screens/regions';
import { fitsFreely, setText, type TextBlock, type TextMetrics } from '../text/layout';

const mirroredRegions = ({ screen, safe, content, margins }: Regions): Regions => ({
  screen,
  safe: mirrored(safe, screen.width),
  content: mirrored(content, screen.width),
  margins: mirrored(margins, screen.width),
});

interface Blocks {
  text: string;
  fonts: TextMetrics;
  /** as it is where there is room enough: lines end where the text says so */
  free: TextBlock;
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

function blocksOf(layer: TextLayer, fonts: TextMetrics | null): Blocks {
  const { text, style } = layer;
  const kept = known.get(style);
  if (kept?.text === text && kept.fonts === fonts) return kept;
  if (!fonts) throw new Error('The fonts are not loaded yet.');
  const blocks = { text, fonts, free: setText(text, style, Infinity, fonts), blocks: new Map() };
  known.set(style, blocks);
  return blocks;
}

/** The lines of a text in a room. @param within its width, lu; @param height absent while its size is being found */
export function blockOf(
  layer: TextLayer,
  fonts: TextMetrics | null,
  within: number,
  height?: number,
): TextBlock {
  const { text, style } = layer;
  const kept = blocksOf(layer, fonts);
  if (fitsFreely(kept.free, style, within, height)) return kept.free;
  let alike = kept.blocks.get(within);
  // A width that is dragged goes through thousands of rooms.
  if (!alike && kept.blocks.size >= MOST_WIDTHS) kept.blocks.clear();
  if (!alike) kept.blocks.set(within, (alike = new Map()));
  let block = alike.get(height);
  if (!block) alike.set(height, (block = setText(text, style, within, kept.fonts, height)));
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

/** What places the layers of a case: lengths that only the case can give are resolved when they are asked for. */
export interface CaseAround {
  scene: Pick<Scene, 'direction'>;
  named: readonly NamedValue[];
  fonts: TextMetrics | null;
  regions: Regions;
  /** device px per lu */
  density: number;
  /** boxes that are known already */
  known?: (id: string) => Rect | null;
}

function textOf(layer: TextLayer, fonts: TextMetrics | null): Placeable['text'] {
  return {
    widest: (within) => blockOf(layer, fonts, within).width,
    height: (width) => blockOf(layer, fonts, width).height,
  };
}

const placeableOf = (l: PlacedLayer, choice: Choice | undefined, around: CaseAround): Placeable => ({
  id: l.id,
  name: l.name,
  placing: l.placing,
  parent: l.parent,
  visible: l.visible,
  natural: choice && naturalSizeOf(choice.rendition),
  padding: l.kind === 'panel' ? paddingOf(l, around.regions, around.density, around.named) : undefined,
  text: l.kind === 'text' ? textOf(l, around.fonts) : undefined,
});

/** What is known already, as it lies in the mirror. */
const knownMirrored = ({ known, regions }: CaseAround) =>
  known &&
  ((id: string) => {
    const box = known(id);
    return box && mirrored(box, regions.screen.width);
  });

/** Where the layers of one case lie. What is asked for throws as the resolver does. */
export class Laid {
  readonly placeables: readonly Placeable[];
  /** in the right-to-left preview it places in the mirror */
  readonly resolver: Resolver;
  /** the width of the screen, in which things are mirrored; `null` when they are not */
  private readonly mirror: number | null;

  /** @param chosen the files of picture layers */
  constructor(around: CaseAround, layers: readonly Layer[], chosen: ReadonlyMap<string, Choice>) {
    const { scene, named, density, regions, known } = around;
    const rtl = scene.direction === 'rtl';
    this.mirror = rtl ? regions.screen.width : null;
    this.placeables = layers.filter(isPlaced).map((l) => placeableOf(l, chosen.get(l.id), around));
    this.resolver = new Resolver(this.placeables, {
      regions: rtl ? mirroredRegions(regions) : regions,
      density,
      named,
      known: rtl ? knownMirrored(around) : known,
    });
  }

  boxOf(id: string): Rect {
    const box = this.resolver.box(id);
    return this.mirror === null ? box : mirrored(box, this.mirror);
  }

  placeableOf(id: string): Placeable | undefined {
    return this.placeables.find((p) => p.id === id);
  }

  /** where the rule of a layer that says “middle” puts it, absolute, and how far that is from the region’s middle */
  middleOf(id: string, axis: Axis): { at: number; shift: number } {
    const middle = this.resolver.middle(this.placeableOf(id)!, axis);
    if (this.mirror === null || axis === 'y') return middle;
    return { at: this.mirror - middle.at, shift: -middle.shift };
  }
}
