import {
  extent as extentOf,
  fromSpans,
  span as spanOf,
  type Axis,
  type Rect,
  type Size,
  type Span,
} from '../geometry/rect';
import type { Regions } from '../screens/regions';
import { boundedKeepingShape } from './bounds';
import { resolveLength, type Length, type NamedValue } from '../scene/values';
import type { AxisRule, Basis, Bound, Edge, Placing, Region } from './rule';

/** A layer as placing sees it. `natural` is the natural size of its picture, in lu, if it has one. */
export interface Placeable {
  id: string;
  /** for messages; the id stands in for it */
  name?: string;
  placing: Placing;
  natural?: Size;
}

export interface PlacingContext {
  regions: Regions;
  /** device px per lu */
  density: number;
  named?: readonly NamedValue[];
}

/** Layers that are measured from one another in a circle, in order; the first one is named again at the end. */
export class PlacingCycle extends Error {
  constructor(readonly layers: string[]) {
    super(`These layers are measured from one another in a circle: ${layers.join(' → ')}.`);
    this.name = 'PlacingCycle';
  }
}

const other = (axis: Axis): Axis => (axis === 'x' ? 'y' : 'x');
const extentRule = (rule: AxisRule) => (rule.kind === 'edges' ? null : rule.extent);

/** min wins over max, as in CSS 2.1 §10.4. */
const bounded = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value));

/**
 * The boxes of all layers on one case, absolute on the screen, logical units. Every axis of every layer is
 * resolved once, when something first asks for it, so the order of the list does not matter.
 *
 * @throws PlacingCycle when layers are measured from one another in a circle on the same axis
 * @throws Error when a rule refers to a layer that is not there, or to the natural size of something without one
 */
export function resolveBoxes(layers: readonly Placeable[], context: PlacingContext): Map<string, Rect> {
  const { regions, density, named } = context;
  const byId = new Map(layers.map((l) => [l.id, l]));
  const done: Record<Axis, Map<string, Span>> = { x: new Map(), y: new Map() };
  const open: string[] = [];
  const nameOf = (id: string) => byId.get(id)?.name ?? id;

  const layerSpan = (id: string, axis: Axis): Span => {
    const known = done[axis].get(id);
    if (known) return known;
    const layer = byId.get(id);
    if (!layer) throw new Error(`A rule is measured from the layer “${id}”, which is not in the scene.`);
    const key = `${axis} ${id}`;
    if (open.includes(key)) {
      const circle = [...open.slice(open.indexOf(key)), key].map((k) => nameOf(k.slice(2)));
      throw new PlacingCycle(circle);
    }
    open.push(key);
    const result = placeAxis(layer, axis);
    open.pop();
    done[axis].set(id, result);
    return result;
  };

  const regionSpan = (region: Region, axis: Axis): Span => {
    if (region === 'parent') return spanOf(regions.screen, axis); // a layer outside of every panel
    return region in regions
      ? spanOf(regions[region as keyof Regions], axis)
      : layerSpan(region.slice('layer:'.length), axis);
  };
  const regionExtent = (region: Region, axis: Axis) => {
    const s = regionSpan(region, axis);
    return s.end - s.start;
  };

  const basis = (of: Basis | undefined, axis: Axis) => {
    if (of === 'short') return Math.min(regions.screen.width, regions.screen.height);
    if (of === 'long') return Math.max(regions.screen.width, regions.screen.height);
    return regionExtent(of ?? 'screen', axis);
  };
  const isPercent = (l: Length) => !('named' in l) && l.unit === '%';
  const lengthOf = (length: Length, of: Basis | undefined, axis: Axis) =>
    resolveLength(length, isPercent(length) || 'named' in length ? basis(of, axis) : 0, density, named);
  const bound = (b: Bound | undefined, axis: Axis, none: number) =>
    b ? lengthOf(b.length, b.of, axis) : none;

  const edgeAt = (edge: Edge, own: 'start' | 'end', axis: Axis) => {
    const s = regionSpan(edge.region, axis);
    const offset = resolveLength(edge.offset, s.end - s.start, density, named);
    const side = edge.side ?? own;
    const outwards = side === 'start' ? -1 : 1; // away from the region, seen from that side
    return s[side] + offset * (side === own ? -outwards : outwards);
  };

  /** The extent that the rule itself gives; `null` when it follows from the other axis. */
  const ownExtent = (layer: Placeable, axis: Axis): number | null => {
    const rule = layer.placing[axis];
    if (rule.kind === 'edges')
      return Math.max(0, edgeAt(rule.end, 'end', axis) - edgeAt(rule.start, 'start', axis));
    if (rule.extent.kind === 'from-ratio') return null;
    if (rule.extent.kind === 'length') return lengthOf(rule.extent.length, rule.extent.of, axis);
    if (!layer.natural) throw new Error(`The layer “${nameOf(layer.id)}” has no natural size.`);
    return extentOf(layer.natural, axis);
  };

  const ratioAlong = (layer: Placeable, axis: Axis): number | null => {
    const { ratio } = layer.placing;
    if (!ratio) return null;
    if (ratio.value === 'own' && !layer.natural)
      throw new Error(`The layer “${nameOf(layer.id)}” has no shape of its own.`);
    const value = ratio.value === 'own' ? layer.natural!.width / layer.natural!.height : ratio.value;
    return axis === 'x' ? value : 1 / value;
  };

  const limits = (layer: Placeable, axis: Axis) => {
    const rule = extentRule(layer.placing[axis]);
    return { low: bound(rule?.min, axis, 0), high: bound(rule?.max, axis, Infinity) };
  };

  /** Natural on both axes with a shape that yields: the bounds of both are weighed against each other. */
  const naturalBoth = (layer: Placeable) =>
    layer.placing.ratio?.strict === false &&
    (['x', 'y'] as const).every((a) => extentRule(layer.placing[a])?.kind === 'natural');

  const yieldingNatural = (layer: Placeable): Size => {
    const width = limits(layer, 'x');
    const height = limits(layer, 'y');
    return boundedKeepingShape(layer.natural!, {
      minWidth: width.low,
      maxWidth: width.high,
      minHeight: height.low,
      maxHeight: height.high,
    });
  };

  const follows = (layer: Placeable, axis: Axis) => extentRule(layer.placing[axis])?.kind === 'from-ratio';

  const withinBounds = (layer: Placeable, axis: Axis, size: number) => {
    const { low, high } = limits(layer, axis);
    return bounded(size, low, high);
  };

  /** One axis has a size and the other follows it strictly: the bounds of both act on both. */
  const strictSize = (layer: Placeable, axis: Axis, own: number | null, ratio: number) => {
    const across = other(axis);
    const mine = limits(layer, axis);
    const theirs = limits(layer, across);
    const start = own ?? ownExtent(layer, across)! * ratio;
    return bounded(start, Math.max(mine.low, theirs.low * ratio), Math.min(mine.high, theirs.high * ratio));
  };

  /** Size along an axis, after min, max and the held ratio. Pinned edges always hold. */
  const sizeOf = (layer: Placeable, axis: Axis): number => {
    if (layer.natural && naturalBoth(layer)) return extentOf(yieldingNatural(layer), axis);
    const across = other(axis);
    const own = ownExtent(layer, axis);
    if (own !== null && layer.placing[axis].kind === 'edges') return own;
    const ratio = ratioAlong(layer, axis);
    const strict = ratio !== null && layer.placing.ratio?.strict === true;
    if (own !== null && !(strict && follows(layer, across))) return withinBounds(layer, axis, own);
    if (ratio === null) throw new Error(`The layer “${nameOf(layer.id)}” follows a ratio but has none.`);
    if (!strict) return withinBounds(layer, axis, sizeOf(layer, across) * ratio);
    if (layer.placing[across].kind === 'edges') return sizeOf(layer, across) * ratio;
    return strictSize(layer, axis, own, ratio);
  };

  const placeAxis = (layer: Placeable, axis: Axis): Span => {
    const rule = layer.placing[axis];
    const size = Math.max(0, sizeOf(layer, axis));
    if (rule.kind === 'end') {
      const end = edgeAt(rule.edge, 'end', axis);
      return { start: end - size, end };
    }
    if (rule.kind === 'middle') {
      const s = regionSpan(rule.region, axis);
      const middle = (s.start + s.end) / 2 + resolveLength(rule.shift, s.end - s.start, density, named);
      return { start: middle - size / 2, end: middle + size / 2 };
    }
    const start = edgeAt(rule.kind === 'edges' ? rule.start : rule.edge, 'start', axis);
    return { start, end: start + size };
  };

  return new Map(layers.map((l) => [l.id, fromSpans(layerSpan(l.id, 'x'), layerSpan(l.id, 'y'))]));
}
