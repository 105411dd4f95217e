import type { Axis } from '@/core/geometry/rect';
import type { AxisRule, Basis, Bound, Edge, Region } from '@/core/placing/rule';
import { extentRule } from '@/core/placing/sizes';
import type { PlacedLayer } from '@/core/scene/scene';
import { isPercent, type Length } from '@/core/values/values';
import { axisCss, type AxisCss, type Lengths } from './lengths';
import { takesRoom } from './room';
import { SizesCss, type NaturalCss, type SizesAround } from './sizes';
import { Sum } from './sum';
import { Unsaid } from './unsaid';

export interface PlacingAround {
  /** by the rules that hold */
  layers: readonly PlacedLayer[];
  /** the identifier of each layer, by id */
  names: ReadonlyMap<string, string>;
  lengths: Lengths;
  natural: (layer: PlacedLayer) => NaturalCss | null;
  mirrored: boolean;
}

/** Where a layer lies along an axis. What is `null` only the layout of the page knows. */
export interface Along {
  start: Sum | null;
  end: Sum | null;
  middle: Sum | null;
  /** `null` of a text by its lines, and between two edges of which one is measured from such a text */
  size: Sum | null;
}

/** A place; inside a panel that goes around what it holds it counts from the start of that content. */
interface Place {
  at: Sum;
  from: string | null;
}

const ANCHORED = 'anchor';
export const isAnchored = (s: Sum | null) => s !== null && s.mentions(ANCHORED);

/**
 * The rules of a scene as lengths of CSS. Layers that others are measured from go by their custom properties, and those
 * whose place only the layout knows, by anchors. It says the same as `Resolver` of the core, in another language; a
 * browser's layout of what it says is held against the core.
 */
export class PlacingCss implements SizesAround {
  private readonly sizes = new SizesCss(this);
  private readonly kept = new Map<string, Along>();
  private readonly known = new Map<string, boolean>();

  constructor(private readonly around: PlacingAround) {}

  declared = ({ id }: PlacedLayer, axis: Axis, size: Sum) => this.sizeOf(id, axis, size);
  natural = (layer: PlacedLayer) => this.around.natural(layer);
  words = (axis: Axis): AxisCss => axisCss(axis, this.around.mirrored);

  private layer = (id: string): PlacedLayer => this.around.layers.find((l) => l.id === id)!;
  private name = (id: string): string => this.around.names.get(id)!;

  /** Whether the place and the size of a layer are lengths that need no layout of text. */
  isKnown(id: string, axis: Axis): boolean {
    const key = `${id} ${axis}`;
    let known = this.known.get(key);
    if (known === undefined) {
      // A layer that is asked for while it is looked at leans on itself by something that is not its place.
      this.known.set(key, true);
      const { start, size } = this.along(id, axis);
      known = start !== null && size !== null && !isAnchored(start) && !isAnchored(size);
      this.known.set(key, known);
    }
    return known;
  }

  along(id: string, axis: Axis): Along {
    const key = `${id} ${axis}`;
    let found = this.kept.get(key);
    if (!found) this.kept.set(key, (found = this.alongAnew(this.layer(id), axis)));
    return found;
  }

  private alongAnew(layer: PlacedLayer, axis: Axis): Along {
    const rule = layer.placing[axis];
    const size = this.sizes.sizeRule(layer, axis);
    const drawn = size && this.sizeOf(layer.id, axis, size);
    const absolute = (p: Place) => this.absolute(p, axis);
    switch (rule.kind) {
      case 'edges': {
        const [start, end] = [
          absolute(this.place(layer, rule.start, 'start', axis)),
          absolute(this.place(layer, rule.end, 'end', axis)),
        ];
        return { start, end: size ? null : end, middle: null, size };
      }
      case 'start': {
        const start = absolute(this.place(layer, rule.edge, 'start', axis));
        return { start, end: null, middle: null, size };
      }
      case 'end': {
        const end = absolute(this.place(layer, rule.edge, 'end', axis));
        return { start: drawn && end.minus(drawn), end, middle: null, size };
      }
      case 'middle': {
        const middle = absolute(this.middle(layer, rule, axis));
        return { start: drawn && middle.minus(drawn.times(0.5)), end: null, middle, size };
      }
    }
  }

  /** The size of a layer as whatever leans on it names it. */
  private sizeOf(id: string, axis: Axis, size: Sum): Sum {
    if (size.isPlain || isAnchored(size)) return size;
    return Sum.of(`var(--${this.name(id)}-${this.words(axis).extent})`, true);
  }

  /** Its place counted from the start of what holds it, or from the screen. */
  private localStart(id: string, axis: Axis): Place {
    const layer = this.layer(id);
    const rule = layer.placing[axis];
    if (rule.kind === 'edges') return this.place(layer, rule.start, 'start', axis);
    if (rule.kind === 'start') return this.place(layer, rule.edge, 'start', axis);
    const size = this.regionSize(layer, `layer:${id}`, axis);
    const at =
      rule.kind === 'end' ? this.place(layer, rule.edge, 'end', axis) : this.middle(layer, rule, axis);
    return { at: at.at.minus(rule.kind === 'end' ? size : size.times(0.5)), from: at.from };
  }

  private middle(layer: PlacedLayer, rule: Extract<AxisRule, { kind: 'middle' }>, axis: Axis): Place {
    const start = this.side(layer, rule.region, 'start', axis);
    const shift = this.shift(layer, rule, axis);
    if (rule.region.startsWith('layer:') && !this.isKnown(rule.region.slice(6), axis)) {
      const end = this.side(layer, rule.region, 'end', axis);
      return { at: start.at.plus(end.at).times(0.5).plus(shift), from: null };
    }
    const size = this.regionSize(layer, rule.region, axis);
    return { at: start.at.plus(size.times(0.5)).plus(shift), from: start.from };
  }

  private length = (l: Length, layer: PlacedLayer, region: Region, axis: Axis): Sum =>
    this.around.lengths.of(l, () => this.regionSize(layer, region, axis));

  /** A length of a rule as CSS; % is of what the rule says. */
  bound(layer: PlacedLayer, { length, of }: Bound, axis: Axis): Sum {
    return this.around.lengths.of(length, () => this.basis(layer, of, axis));
  }

  private basis(layer: PlacedLayer, of: Basis | undefined, axis: Axis): Sum {
    const [width, height] = [Sum.of('var(--screen-width)', true), Sum.of('var(--screen-height)', true)];
    if (of === 'short') return Sum.min([width, height]);
    if (of === 'long') return Sum.max([width, height]);
    return this.regionSize(layer, of ?? 'screen', axis);
  }

  private holder = ({ parent }: PlacedLayer) => (parent === undefined ? null : this.layer(parent));

  private padding(panel: PlacedLayer, axis: Axis): { start: Sum; end: Sum } {
    if (panel.kind !== 'panel') return { start: Sum.px(0), end: Sum.px(0) };
    const { left, right, top, bottom } = panel.padding;
    const of = (l: Length) =>
      this.around.lengths.of(l, () => Sum.of(`var(--screen-${this.words(axis).extent})`, true));
    return axis === 'x' ? { start: of(left), end: of(right) } : { start: of(top), end: of(bottom) };
  }

  /** How far inside what it is measured from an edge lies. */
  offset = (layer: PlacedLayer, { offset, region }: Edge, axis: Axis): Sum =>
    this.length(offset, layer, region, axis);

  /** How far from the middle of its region a layer lies. */
  shift = (layer: PlacedLayer, rule: Extract<AxisRule, { kind: 'middle' }>, axis: Axis): Sum =>
    this.length(rule.shift, layer, rule.region, axis);

  /** Where what a panel holds starts, whose place is known. */
  contentStartOf = (panel: PlacedLayer, axis: Axis): Sum =>
    Sum.of(`var(--${this.name(panel.id)}-${this.words(axis).at})`).plus(this.padding(panel, axis).start);

  /** How long a region is. */
  private regionSize(layer: PlacedLayer, region: Region, axis: Axis): Sum {
    const { extent } = this.words(axis);
    if (region.startsWith('layer:')) return this.layerSize(region.slice('layer:'.length), axis);
    const holder = region === 'parent' ? this.holder(layer) : null;
    if (!holder) return Sum.of(`var(--${region === 'parent' ? 'screen' : region}-${extent})`, true);
    const within = this.padding(holder, axis);
    const inner = this.layerSize(holder.id, axis).minus(within.start).minus(within.end);
    return Sum.max([Sum.px(0), inner]);
  }

  private layerSize(id: string, axis: Axis): Sum {
    const size = this.sizes.sizeRule(this.layer(id), axis);
    if (size && !isAnchored(size)) return this.sizeOf(id, axis, size);
    return Sum.of(`anchor-size(--${this.name(id)} ${this.words(axis).extent})`, true);
  }

  /** One side of a region. The start of what a panel holds is known before its end. */
  private side(layer: PlacedLayer, region: Region, side: 'start' | 'end', axis: Axis): Place {
    const words = this.words(axis);
    if (region.startsWith('layer:')) return this.layerSide(region.slice('layer:'.length), side, axis);
    const holder = region === 'parent' ? this.holder(layer) : null;
    if (!holder) {
      const name = region === 'parent' ? 'screen' : region;
      const at = name === 'screen' ? Sum.px(0) : Sum.of(`var(--${name}-${words.at})`);
      return {
        at: side === 'start' ? at : at.plus(this.regionSize(layer, region, axis)),
        from: null,
      };
    }
    if (side === 'start' && isHug(holder, axis) && !this.hugsTexts(holder, axis))
      return { at: Sum.px(0), from: holder.id };
    const within = this.padding(holder, axis);
    const start = this.layerSide(holder.id, 'start', axis);
    if (side === 'start' || this.isKnown(holder.id, axis)) {
      const at = start.at.plus(within.start);
      return { at: side === 'start' ? at : at.plus(this.regionSize(layer, region, axis)), from: start.from };
    }
    return { at: this.layerSide(holder.id, 'end', axis).at.minus(within.end), from: null };
  }

  private layerSide(id: string, side: 'start' | 'end', axis: Axis): Place {
    const words = this.words(axis);
    const layer = this.layer(id);
    const local = this.isInsideOfHug(layer, axis) ? this.localStart(id, axis) : null;
    if (local?.from) {
      const at = side === 'start' ? local.at : local.at.plus(this.layerSize(id, axis));
      return { at, from: local.from };
    }
    if (!this.isKnown(id, axis))
      return { at: Sum.of(`anchor(--${this.name(id)} ${words[side]})`), from: null };
    const start = Sum.of(`var(--${this.name(id)}-${words.at})`);
    return { at: side === 'start' ? start : start.plus(this.layerSize(id, axis)), from: null };
  }

  /** Whether a panel around a layer goes around what it holds, so that its place may hang on it. */
  private isInsideOfHug(layer: PlacedLayer, axis: Axis): boolean {
    const holder = this.holder(layer);
    return holder !== null && isHug(holder, axis) && !this.hugsTexts(holder, axis);
  }

  /** Where the content of a panel starts. An edge pinned at its start is known before its size is. */
  private contentStart(id: string, axis: Axis): Sum {
    const panel = this.layer(id);
    const rule = panel.placing[axis];
    const start =
      rule.kind === 'start' ? this.place(panel, rule.edge, 'start', axis) : this.layerSide(id, 'start', axis);
    return this.absolute(start, axis).plus(this.padding(panel, axis).start);
  }

  private absolute = ({ at, from }: Place, axis: Axis): Sum =>
    from === null ? at : at.plus(this.contentStart(from, axis));

  private place(layer: PlacedLayer, edge: Edge, own: 'start' | 'end', axis: Axis): Place {
    const side = edge.side ?? own;
    const offset = this.offset(layer, edge, axis);
    const outwards = side === 'start' ? -1 : 1;
    const { at, from } = this.side(layer, edge.region, side, axis);
    return { at: at.plus(offset.times(side === own ? -outwards : outwards)), from };
  }

  between(layer: PlacedLayer, rule: Extract<AxisRule, { kind: 'edges' }>, axis: Axis): Sum | 'layout' {
    const a = this.place(layer, rule.start, 'start', axis);
    const b = this.place(layer, rule.end, 'end', axis);
    const size = a.from === b.from ? b.at.minus(a.at) : this.absolute(b, axis).minus(this.absolute(a, axis));
    return size.mentions(`${ANCHORED}(`) ? 'layout' : Sum.max([Sum.px(0), size]);
  }

  /** From the start of the content to the furthest end in it, and the padding. */
  hugged(panel: PlacedLayer, axis: Axis): Sum | 'layout' {
    const held = this.around.layers.filter((l) => l.parent === panel.id && l.visible);
    if (held.length === 0) return Sum.px(0);
    if (this.hugsTexts(panel, axis)) return 'layout';
    const ends = held.map((l) => {
      const { at, from } = this.layerSide(l.id, 'end', axis);
      if (!mayVanish(l, axis, this.layerSize(l.id, axis))) return from === panel.id ? at : null;
      throw new Unsaid(panel, 'a panel around something that may be of no size');
    });
    if (ends.includes(null)) throw new Unsaid(panel, 'a panel around something that is not measured from it');
    const within = this.padding(panel, axis);
    const furthest = Sum.max([Sum.px(0), ...ends.filter((e) => e !== null)]);
    return within.start.plus(furthest).plus(within.end);
  }

  /** Whether what a panel goes around is as large as lines of text make it. */
  hugsTexts(panel: PlacedLayer, axis: Axis): boolean {
    if (!isHug(panel, axis)) return false;
    const { layers } = this.around;
    return layers.some(
      (l) => l.parent === panel.id && takesRoom(l, layers, axis) && this.isAsLargeAsText(l, axis),
    );
  }

  private isAsLargeAsText(layer: PlacedLayer, axis: Axis): boolean {
    const extent = extentRule(layer.placing[axis]);
    if (layer.kind === 'text') return extent?.kind === 'natural' || extent?.kind === 'from-ratio';
    return layer.kind === 'panel' && this.hugsTexts(layer, axis);
  }
}

const isHug = (layer: PlacedLayer, axis: Axis) => extentRule(layer.placing[axis])?.kind === 'hug';

/** Whether something may be of no size, so that a panel around it would not count it. */
function mayVanish(layer: PlacedLayer, axis: Axis, size: Sum): boolean {
  const extent = extentRule(layer.placing[axis]);
  if (size.isPlain) return size.px <= 0;
  if (extent?.kind === 'length')
    return !('value' in extent.length) || !isPercent(extent.length) || extent.length.value <= 0;
  return extent === null;
}
