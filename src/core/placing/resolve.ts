import { fromSpans, span as spanOf, type Axis, type Rect, type Span } from '../geometry/rect';
import type { Regions } from '../screens/regions';
import { isPercent, resolveLength, type Length, type NamedValue } from '../scene/values';
import type { Basis, Edge, Region } from './rule';
import { extentRule, sizing, type Placeable } from './sizes';

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
 * A place along an axis. Inside of a panel that hugs its content it counts from the start of that content, because
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

/** Boxes of the layers of one case, each axis resolved once, when something first asks for it. */
export interface Resolver {
  box: (id: string) => Rect;
  /** where an edge of a layer’s rule lies, absolute, lu */
  edgeAt: (layer: Placeable, edge: Edge, own: 'start' | 'end', axis: Axis) => number;
  /** a region as the layer’s rules see it, absolute, lu */
  region: (layer: Placeable, region: Region, axis: Axis) => Span;
  /** of a layer that says “middle”: where that is, absolute, and how far from the middle of its region, lu */
  middle: (layer: Placeable, axis: Axis) => { at: number; shift: number };
  /** what 100 % of an extent is, lu */
  basis: (layer: Placeable, of: Basis | undefined, axis: Axis) => number;
  sizes: ReturnType<typeof sizing>;
}

/**
 * The order of the list does not matter.
 *
 * Every method throws PlacingCycle when layers are measured from one another in a circle on the same axis, and an
 * Error when a rule refers to a layer that is not there, or to the natural size or shape of something without one.
 */
export function createResolver(layers: readonly Placeable[], context: PlacingContext): Resolver {
  const { regions, density, named, known: knownBox } = context;
  const byId = new Map(layers.map((l) => [l.id, l]));
  const done: Record<Axis, Map<string, LocalSpan>> = { x: new Map(), y: new Map() };
  const open: string[] = [];
  const nameOf = (layer: Placeable) => layer.name ?? layer.id;

  const layerOf = (id: string): Placeable => {
    const layer = byId.get(id);
    if (!layer) throw new Error(`A rule is measured from the layer “${id}”, which is not in the scene.`);
    return layer;
  };

  const placed = (id: string, axis: Axis): LocalSpan => {
    const known = done[axis].get(id);
    if (known) return known;
    const box = knownBox?.(id);
    if (box) return { ...spanOf(box, axis), from: null };
    const layer = layerOf(id);
    const key = `${axis} ${id}`;
    if (open.includes(key)) {
      const circle = [...open.slice(open.indexOf(key)), key].map((k) => nameOf(layerOf(k.slice(2))));
      throw new PlacingCycle(circle);
    }
    open.push(key);
    try {
      const result = placeAlong(layer, axis);
      done[axis].set(id, result);
      return result;
    } finally {
      open.pop();
    }
  };

  const padding = ({ padding: p }: Placeable, axis: Axis): Span =>
    axis === 'x' ? { start: p?.left ?? 0, end: p?.right ?? 0 } : { start: p?.top ?? 0, end: p?.bottom ?? 0 };
  const hugs = (layer: Placeable, axis: Axis) => extentRule(layer.placing[axis])?.kind === 'hug';
  const holderOf = (layer: Placeable) => (layer.parent === undefined ? null : layerOf(layer.parent));

  /** Where the content of a panel starts, absolute. An edge pinned at the start is known before the size is. */
  const contentStart = (id: string, axis: Axis): number => {
    const panel = layerOf(id);
    const rule = panel.placing[axis];
    const start: Place =
      rule.kind === 'start'
        ? place(panel, rule.edge, 'start', axis)
        : { at: placed(id, axis).start, from: placed(id, axis).from };
    return absolute(start, axis) + padding(panel, axis).start;
  };
  const absolute = ({ at, from }: Place, axis: Axis): number =>
    from === null ? at : at + contentStart(from, axis);

  const regionSpan = (layer: Placeable, region: Region, axis: Axis): LocalSpan => {
    if (isLayer(region)) return placed(region.slice('layer:'.length), axis);
    const holder = region === 'parent' ? holderOf(layer) : null;
    if (!holder) {
      const { start, end } = spanOf(regions[region === 'parent' ? 'screen' : region], axis);
      return { start, end, from: null };
    }
    const { start, end, from } = placed(holder.id, axis);
    const within = padding(holder, axis);
    return { start: start + within.start, end: Math.max(start + within.start, end - within.end), from };
  };

  /** One side of a region. The start of what a hugging panel holds is known before its end. */
  const sideOf = (layer: Placeable, region: Region, side: 'start' | 'end', axis: Axis): Place => {
    const holder = region === 'parent' ? holderOf(layer) : null;
    if (holder && side === 'start' && hugs(holder, axis)) return { at: 0, from: holder.id };
    const s = regionSpan(layer, region, axis);
    return { at: s[side], from: s.from };
  };

  const isShare = (l: Length) => isPercent(l) || ('named' in l && isPercent(namedLength(l.named)));
  const namedLength = (id: string): Length => {
    const value = named?.find((n) => n.id === id)?.value;
    return value && 'unit' in value ? value : { value: 0, unit: 'lu' };
  };
  /** @param basis is only asked for where the length is a share, because asking may close a circle */
  const resolved = (l: Length, basis: () => number) =>
    resolveLength(l, isShare(l) ? basis() : 0, density, named);

  const basisOf = (layer: Placeable, of: Basis | undefined, axis: Axis) => {
    const { width, height } = regions.screen;
    if (of === 'short') return Math.min(width, height);
    if (of === 'long') return Math.max(width, height);
    return length(regionSpan(layer, of ?? 'screen', axis));
  };

  const place = (layer: Placeable, edge: Edge, own: 'start' | 'end', axis: Axis): Place => {
    const side = edge.side ?? own;
    const offset = resolved(edge.offset, () => length(regionSpan(layer, edge.region, axis)));
    const outwards = side === 'start' ? -1 : 1; // away from the region, seen from that side
    const { at, from } = sideOf(layer, edge.region, side, axis);
    return { at: at + offset * (side === own ? -outwards : outwards), from };
  };

  /** Two places as a span; where they do not count from the same start, both from that of the screen. */
  const between = (a: Place, b: Place, axis: Axis): LocalSpan =>
    a.from === b.from
      ? { start: a.at, end: b.at, from: a.from }
      : { start: absolute(a, axis), end: absolute(b, axis), from: null };

  const pinnedBetween = (layer: Placeable, axis: Axis): LocalSpan | null => {
    const rule = layer.placing[axis];
    if (rule.kind !== 'edges') return null;
    return between(place(layer, rule.start, 'start', axis), place(layer, rule.end, 'end', axis), axis);
  };

  /** From the start of the content to the furthest end in it, and the padding; 0 without anything that has an extent. */
  const hugged = (panel: Placeable, axis: Axis): number => {
    const held = layers.filter((l) => l.parent === panel.id && l.visible !== false);
    const ends = held
      .map((l) => placed(l.id, axis))
      .filter((s) => length(s) > 0)
      .map(({ end, from }) =>
        from === panel.id ? end : absolute({ at: end, from }, axis) - contentStart(panel.id, axis),
      );
    if (ends.length === 0) return 0;
    const within = padding(panel, axis);
    return within.start + Math.max(0, ...ends) + within.end;
  };

  const sizes = sizing({
    nameOf,
    hugged,
    pinned: (layer, axis) => Math.max(0, length(pinnedBetween(layer, axis)!)),
    length: (layer, bound, axis) => resolved(bound.length, () => basisOf(layer, bound.of, axis)),
  });

  const placeAlong = (layer: Placeable, axis: Axis): LocalSpan => {
    const rule = layer.placing[axis];
    const size = sizes.sizeOf(layer, axis);
    if (rule.kind === 'end') {
      const { at, from } = place(layer, rule.edge, 'end', axis);
      return { start: at - size, end: at, from };
    }
    if (rule.kind === 'middle') {
      const s = regionSpan(layer, rule.region, axis);
      const middle = (s.start + s.end) / 2 + resolved(rule.shift, () => length(s));
      return { start: middle - size / 2, end: middle + size / 2, from: s.from };
    }
    if (rule.kind === 'start') {
      const { at, from } = place(layer, rule.edge, 'start', axis);
      return { start: at, end: at + size, from };
    }
    const { start, from } = pinnedBetween(layer, axis)!;
    return { start, end: start + size, from };
  };

  const settled = ({ start, end, from }: LocalSpan, axis: Axis): Span => {
    const origin = absolute({ at: 0, from }, axis);
    return { start: start + origin, end: end + origin };
  };

  return {
    box: (id) => fromSpans(settled(placed(id, 'x'), 'x'), settled(placed(id, 'y'), 'y')),
    edgeAt: (layer, edge, own, axis) => absolute(place(layer, edge, own, axis), axis),
    region: (layer, region, axis) => settled(regionSpan(layer, region, axis), axis),
    middle: (layer, axis) => {
      const rule = layer.placing[axis];
      if (rule.kind !== 'middle') throw new Error(`The layer “${nameOf(layer)}” is not in the middle.`);
      const s = settled(regionSpan(layer, rule.region, axis), axis);
      const shift = resolved(rule.shift, () => length(s));
      return { at: (s.start + s.end) / 2 + shift, shift };
    },
    basis: basisOf,
    sizes,
  };
}

/** The boxes of all layers on one case, absolute on the screen, logical units. @throws as `createResolver` says */
export function resolveBoxes(layers: readonly Placeable[], context: PlacingContext): Map<string, Rect> {
  const resolver = createResolver(layers, context);
  return new Map(layers.map((l) => [l.id, resolver.box(l.id)]));
}
