import { extent as extentOf, type Axis, type Size } from '../geometry/rect';
import { boundedKeepingShape } from './bounds';
import type { AxisRule, Bound, Extent, Placing } from './rule';

/** A layer as placing sees it. */
export interface Placeable {
  id: string;
  /** for messages; the id stands in for it */
  name?: string;
  placing: Placing;
  /** the natural size of its picture, in lu, if it has one */
  natural?: Size;
  /** of a text, whose extents follow from where its lines break, lu */
  text?: { widest: (within: number) => number; height: (width: number) => number };
  /** the panel that holds it */
  parent?: string;
  /** of a panel: room between its edges and what it holds, lu */
  padding?: { left: number; right: number; top: number; bottom: number };
  /** whether a panel that hugs its content counts it; absent counts */
  visible?: boolean;
}

/** What sizes need to know of everything else. */
export interface SizesAround {
  nameOf: (layer: Placeable) => string;
  /** the extent between two pinned edges, lu, ≥ 0 */
  pinned: (layer: Placeable, axis: Axis) => number;
  bound: (layer: Placeable, bound: Bound, axis: Axis) => number;
  /** what a panel's content takes along an axis, its padding included, lu */
  hugged: (layer: Placeable, axis: Axis) => number;
}

/** The bounds of an extent, lu; 0 and Infinity where there are none. */
export interface Limits {
  low: number;
  high: number;
}

export const other = (axis: Axis): Axis => (axis === 'x' ? 'y' : 'x');
export const extentRule = (rule: AxisRule): Extent | null => (rule.kind === 'edges' ? null : rule.extent);
export const followsShape = ({ placing }: Placeable, axis: Axis) =>
  extentRule(placing[axis])?.kind === 'from-ratio';

/** min wins over max, as in CSS 2.1 §10.4. */
const bounded = (value: number, { low, high }: Limits) => Math.max(low, Math.min(high, value));

/** Natural on both axes with a shape: the bounds of both act on both. */
const isNaturalBoth = ({ placing: { x, y, ratio } }: Placeable) =>
  ratio !== undefined && extentRule(x)?.kind === 'natural' && extentRule(y)?.kind === 'natural';

/** Sizes of layers along each axis, after min, max and the held ratio. */
export class Sizes {
  constructor(private readonly around: SizesAround) {}

  /** lu, ≥ 0 */
  sizeOf(layer: Placeable, axis: Axis): number {
    return Math.max(0, this.size(layer, axis));
  }

  limits(layer: Placeable, axis: Axis): Limits {
    const rule = extentRule(layer.placing[axis]);
    return {
      low: rule?.min ? this.around.bound(layer, rule.min, axis) : 0,
      high: rule?.max ? this.around.bound(layer, rule.max, axis) : Infinity,
    };
  }

  /** The extent that the rule itself gives; `null` when it follows from the other axis. */
  own(layer: Placeable, axis: Axis): number | null {
    const { around } = this;
    const rule = extentRule(layer.placing[axis]);
    if (!rule) return around.pinned(layer, axis);
    if (rule.kind === 'from-ratio') return null;
    if (rule.kind === 'hug') return around.hugged(layer, axis);
    return rule.kind === 'length' ? around.bound(layer, rule, axis) : this.natural(layer, axis);
  }

  private natural(layer: Placeable, axis: Axis): number {
    if (layer.natural) return extentOf(layer.natural, axis);
    if (!layer.text) throw new Error(`The layer “${this.around.nameOf(layer)}” has no natural size.`);
    if (axis === 'x') return layer.text.widest(this.limits(layer, 'x').high);
    return layer.text.height(followsShape(layer, 'x') ? Infinity : this.size(layer, 'x'));
  }

  /** width ÷ height along x, height ÷ width along y */
  private ratioAlong(layer: Placeable, axis: Axis): number | null {
    const { ratio } = layer.placing;
    if (!ratio) return null;
    if (ratio.value === 'own' && !layer.natural)
      throw new Error(`The layer “${this.around.nameOf(layer)}” has no shape of its own.`);
    const value = ratio.value === 'own' ? layer.natural!.width / layer.natural!.height : ratio.value;
    return axis === 'x' ? value : 1 / value;
  }

  /** A strict shape is kept whatever the bounds are; one that yields gives way where they contradict one another. */
  private boundedNatural(layer: Placeable, natural: Size): Size {
    const width = this.limits(layer, 'x');
    const height = this.limits(layer, 'y');
    if (layer.placing.ratio!.strict) {
      const shape = natural.width / natural.height;
      const kept = this.strictSize(layer, 'x', natural.width, shape);
      return { width: kept, height: kept / shape };
    }
    return boundedKeepingShape(natural, {
      minWidth: width.low,
      maxWidth: width.high,
      minHeight: height.low,
      maxHeight: height.high,
    });
  }

  /** The extent of a strict shape along an axis: the bounds of both axes act on both, min before max. */
  private strictSize(layer: Placeable, axis: Axis, given: number | null, ratio: number): number {
    const across = other(axis);
    const mine = this.limits(layer, axis);
    const theirs = this.limits(layer, across);
    return bounded(given ?? this.own(layer, across)! * ratio, {
      low: Math.max(mine.low, theirs.low * ratio),
      high: Math.min(mine.high, theirs.high * ratio),
    });
  }

  /** Pinned edges always hold. */
  private size(layer: Placeable, axis: Axis): number {
    if (layer.natural && isNaturalBoth(layer))
      return extentOf(this.boundedNatural(layer, layer.natural), axis);
    const across = other(axis);
    const given = this.own(layer, axis);
    if (given !== null && layer.placing[axis].kind === 'edges') return given;
    const ratio = this.ratioAlong(layer, axis);
    const strict = ratio !== null && layer.placing.ratio?.strict === true;
    if (given !== null && !(strict && followsShape(layer, across)))
      return bounded(given, this.limits(layer, axis));
    if (ratio === null)
      throw new Error(`The layer “${this.around.nameOf(layer)}” follows a ratio but has none.`);
    if (!strict) return bounded(this.size(layer, across) * ratio, this.limits(layer, axis));
    if (layer.placing[across].kind === 'edges') return this.size(layer, across) * ratio;
    return this.strictSize(layer, axis, given, ratio);
  }
}
