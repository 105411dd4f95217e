import { fromSpans, span as spanOf, type Axis, type Rect, type Span } from '../geometry/rect';
import type { Regions } from '../screens/regions';
import { isPercent, plainOf, resolveLength, type Length, type NamedValue } from '../values/values';
import type { Basis, Bound, Edge, Region } from './rule';
import { extentRule, Sizes, type SizesAround, type Placeable } from './sizes';

export type { Placeable } from './sizes';

export interface PlacingContext {
  regions: Regions;
  /** device px per lu */
  density: number;
  named?: readonly NamedValue[];
  /** boxes that are known already, absolute: nothing of their rules is looked at */
  known?: (id: string) => Rect | null;
}

/** Layers that are measured from one another in a circle, in order; the first one is named again at the end. */
export class PlacingCycle extends Error {
  constructor(readonly layers: string[]) {
    super(`These layers are measured from one another in a circle: ${layers.join(' → ')}.`);
    this.name = 'PlacingCycle';
  }
}

/**
 * A place along an axis. Inside a panel that hugs its content it counts from the start of that content, because
 * where the content lies may depend on how large it is; `from` names the panel, `null` the screen.
 */
interface Place {
  at: number;
  from: string | null;
}
interface LocalSpan extends Span {
  from: string | null;
}

const isLayer = (region: Region): region is `layer:${string}` => region.startsWith('layer:');
const length = (s: Span) => s.end - s.start;
const startOf = ({ start, from }: LocalSpan): Place => ({ at: start, from });

const paddingOf = ({ padding: p }: Placeable, axis: Axis): Span =>
  axis === 'x' ? { start: p?.left ?? 0, end: p?.right ?? 0 } : { start: p?.top ?? 0, end: p?.bottom ?? 0 };
const hugs = (layer: Placeable, axis: Axis) => extentRule(layer.placing[axis])?.kind === 'hug';

/**
 * Boxes of the layers of one case, each axis resolved once, when something first asks for it. The order of the list does
 * not matter.
 *
 * Every method throws PlacingCycle when layers are measured from one another in a circle on the same axis, and an
 * Error when a rule refers to a layer that is not there, or to the natural size or shape of something without one.
 */
export class Resolver implements SizesAround {
  readonly sizes = new Sizes(this);
  /** by the layer's place in the list; lists of so few are searched faster than maps are made */
  private readonly done: Record<Axis, (LocalSpan | undefined)[]> = { x: [], y: [] };
  private readonly open: { layer: Placeable; axis: Axis }[] = [];

  constructor(
    private readonly layers: readonly Placeable[],
    private readonly context: PlacingContext,
  ) {}

  /** absolute, lu */
  box(id: string): Rect {
    return fromSpans(this.settled(this.placed(id, 'x'), 'x'), this.settled(this.placed(id, 'y'), 'y'));
  }

  /** where an edge of a layer’s rule lies, absolute, lu */
  edgeAt(layer: Placeable, edge: Edge, own: 'start' | 'end', axis: Axis): number {
    return this.absolute(this.place(layer, edge, own, axis), axis);
  }

  /** a region as the layer’s rules see it, absolute, lu */
  region(layer: Placeable, region: Region, axis: Axis): Span {
    return this.settled(this.regionSpan(layer, region, axis), axis);
  }

  /** of a layer that says “middle”: where that is, absolute, and how far from the middle of its region, lu */
  middle(layer: Placeable, axis: Axis): { at: number; shift: number } {
    const rule = layer.placing[axis];
    if (rule.kind !== 'middle') throw new Error(`The layer “${this.nameOf(layer)}” is not in the middle.`);
    const s = this.region(layer, rule.region, axis);
    const shift = this.resolved(rule.shift, length(s));
    return { at: (s.start + s.end) / 2 + shift, shift };
  }

  /** what 100 % of an extent is, lu */
  basis(layer: Placeable, of: Basis | undefined, axis: Axis): number {
    const { width, height } = this.context.regions.screen;
    if (of === 'short') return Math.min(width, height);
    if (of === 'long') return Math.max(width, height);
    return length(this.regionSpan(layer, of ?? 'screen', axis));
  }

  nameOf(layer: Placeable): string {
    return layer.name ?? layer.id;
  }

  pinned(layer: Placeable, axis: Axis): number {
    return Math.max(0, length(this.pinnedBetween(layer, axis)!));
  }

  bound(layer: Placeable, { length: l, of }: Bound, axis: Axis): number {
    return this.resolved(l, this.isShare(l) ? this.basis(layer, of, axis) : 0);
  }

  /** From the start of the content to the furthest end in it, and the padding; 0 without anything that has an extent. */
  hugged(panel: Placeable, axis: Axis): number {
    const held = this.layers.filter((l) => l.parent === panel.id && l.visible !== false);
    const ends = held
      .map((l) => this.placed(l.id, axis))
      .filter((s) => length(s) > 0)
      .map(({ end, from }) =>
        from === panel.id ? end : this.absolute({ at: end, from }, axis) - this.contentStart(panel.id, axis),
      );
    if (ends.length === 0) return 0;
    const within = paddingOf(panel, axis);
    return within.start + Math.max(0, ...ends) + within.end;
  }

  private indexOf(id: string): number {
    for (let i = 0; i < this.layers.length; i++) if (this.layers[i]!.id === id) return i;
    throw new Error(`A rule is measured from the layer “${id}”, which is not in the scene.`);
  }

  private layerOf(id: string): Placeable {
    return this.layers[this.indexOf(id)]!;
  }

  private placed(id: string, axis: Axis): LocalSpan {
    const done = this.done[axis];
    const i = this.indexOf(id);
    return (done[i] ??= this.knownSpan(id, axis) ?? this.placedAnew(this.layers[i]!, axis));
  }

  private knownSpan(id: string, axis: Axis): LocalSpan | null {
    const box = this.context.known?.(id);
    if (!box) return null;
    const { start, end } = spanOf(box, axis);
    return { start, end, from: null };
  }

  private placedAnew(layer: Placeable, axis: Axis): LocalSpan {
    const { open } = this;
    for (let i = 0; i < open.length; i++) {
      if (open[i]!.layer !== layer || open[i]!.axis !== axis) continue;
      throw new PlacingCycle([...open.slice(i).map((o) => this.nameOf(o.layer)), this.nameOf(layer)]);
    }
    open.push({ layer, axis });
    try {
      return this.placeAlong(layer, axis);
    } finally {
      open.pop();
    }
  }

  private placeAlong(layer: Placeable, axis: Axis): LocalSpan {
    const rule = layer.placing[axis];
    const size = this.sizes.sizeOf(layer, axis);
    if (rule.kind === 'end') {
      const { at, from } = this.place(layer, rule.edge, 'end', axis);
      return { start: at - size, end: at, from };
    }
    if (rule.kind === 'middle') {
      const s = this.regionSpan(layer, rule.region, axis);
      const middle = (s.start + s.end) / 2 + this.resolved(rule.shift, length(s));
      return { start: middle - size / 2, end: middle + size / 2, from: s.from };
    }
    if (rule.kind === 'start') {
      const { at, from } = this.place(layer, rule.edge, 'start', axis);
      return { start: at, end: at + size, from };
    }
    const { start, from } = this.pinnedBetween(layer, axis)!;
    return { start, end: start + size, from };
  }

  /** Where the content of a panel starts, absolute. An edge pinned at the start is known before the size is. */
  private contentStart(id: string, axis: Axis): number {
    const panel = this.layerOf(id);
    const rule = panel.placing[axis];
    const start: Place =
      rule.kind === 'start' ? this.place(panel, rule.edge, 'start', axis) : startOf(this.placed(id, axis));
    return this.absolute(start, axis) + paddingOf(panel, axis).start;
  }

  private absolute({ at, from }: Place, axis: Axis): number {
    return from === null ? at : at + this.contentStart(from, axis);
  }

  private settled(span: LocalSpan, axis: Axis): Span {
    if (span.from === null) return span;
    const origin = this.contentStart(span.from, axis);
    return { start: span.start + origin, end: span.end + origin };
  }

  private holderOf({ parent }: Placeable): Placeable | null {
    return parent === undefined ? null : this.layerOf(parent);
  }

  private regionSpan(layer: Placeable, region: Region, axis: Axis): LocalSpan {
    if (isLayer(region)) return this.placed(region.slice('layer:'.length), axis);
    const holder = region === 'parent' ? this.holderOf(layer) : null;
    if (!holder) {
      const { start, end } = spanOf(this.context.regions[region === 'parent' ? 'screen' : region], axis);
      return { start, end, from: null };
    }
    const { start, end, from } = this.placed(holder.id, axis);
    const within = paddingOf(holder, axis);
    return { start: start + within.start, end: Math.max(start + within.start, end - within.end), from };
  }

  /** One side of a region. The start of what a hugging panel holds is known before its end. */
  private sideOf(layer: Placeable, region: Region, side: 'start' | 'end', axis: Axis): Place {
    const holder = region === 'parent' ? this.holderOf(layer) : null;
    if (holder && side === 'start' && hugs(holder, axis)) return { at: 0, from: holder.id };
    const s = this.regionSpan(layer, region, axis);
    return { at: s[side], from: s.from };
  }

  /** Whether what 100 % is has to be known; asking for it where it need not be may close a circle. */
  private isShare(l: Length): boolean {
    if (!('named' in l)) return isPercent(l);
    const value = plainOf(l.named, this.context.named ?? []);
    return value !== null && 'unit' in value && isPercent(value);
  }

  private resolved(l: Length, basis: number): number {
    return resolveLength(l, basis, this.context.density, this.context.named);
  }

  private place(layer: Placeable, edge: Edge, own: 'start' | 'end', axis: Axis): Place {
    const side = edge.side ?? own;
    const share = this.isShare(edge.offset);
    const offset = this.resolved(edge.offset, share ? length(this.regionSpan(layer, edge.region, axis)) : 0);
    const outwards = side === 'start' ? -1 : 1; // away from the region, seen from that side
    const { at, from } = this.sideOf(layer, edge.region, side, axis);
    return { at: at + offset * (side === own ? -outwards : outwards), from };
  }

  private pinnedBetween(layer: Placeable, axis: Axis): LocalSpan | null {
    const rule = layer.placing[axis];
    if (rule.kind !== 'edges') return null;
    const a = this.place(layer, rule.start, 'start', axis);
    const b = this.place(layer, rule.end, 'end', axis);
    // Where the two do not count from the same start, both do from that of the screen.
    return a.from === b.from
      ? { start: a.at, end: b.at, from: a.from }
      : { start: this.absolute(a, axis), end: this.absolute(b, axis), from: null };
  }
}

/** The boxes of all layers on one case, absolute on the screen, logical units. @throws as `Resolver` says */
export function resolveBoxes(layers: readonly Placeable[], context: PlacingContext): Map<string, Rect> {
  const resolver = new Resolver(layers, context);
  return new Map(layers.map((l) => [l.id, resolver.box(l.id)]));
}
