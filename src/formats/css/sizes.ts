import type { Axis } from '@/core/geometry/rect';
import type { AxisRule, Bound } from '@/core/placing/rule';
import { extentRule, other } from '@/core/placing/sizes';
import type { PlacedLayer } from '@/core/scene/scene';
import type { AxisCss } from './lengths';
import { Sum } from './sum';
import { Unsaid } from './unsaid';

/** The natural size of a picture, as CSS knows it. */
export interface NaturalCss {
  width: Sum;
  height: Sum;
  /** width ÷ height, and its inverse: a number, or a custom property that holds one */
  shape: { x: number | string; y: number | string };
}

/** What sizes need to know of everything else. */
export interface SizesAround {
  words: (axis: Axis) => AxisCss;
  natural: (layer: PlacedLayer) => NaturalCss | null;
  /** the extent between two pinned edges, not negative */
  between: (layer: PlacedLayer, rule: Extract<AxisRule, { kind: 'edges' }>, axis: Axis) => Sum | 'layout';
  bound: (layer: PlacedLayer, bound: Bound, axis: Axis) => Sum;
  /** a size by the custom property that the layer declares for it */
  declared: (layer: PlacedLayer, axis: Axis, size: Sum) => Sum;
  /** what a panel's content takes along an axis, its padding included */
  hugged: (panel: PlacedLayer, axis: Axis) => Sum | 'layout';
}

/** Sizes of layers along each axis, after min, max and the held ratio, as CSS; `null` where only the layout knows. */
export class SizesCss {
  constructor(private readonly around: SizesAround) {}

  /** The size that the rule gives, not negative; `null` where only the layout knows. */
  sizeRule(layer: PlacedLayer, axis: Axis): Sum | null {
    const size = this.size(layer, axis);
    return size && Sum.max([Sum.px(0), size]);
  }

  private size(layer: PlacedLayer, axis: Axis): Sum | null {
    const natural = this.naturalBoth(layer);
    if (natural) return this.strictSize(layer, axis, natural[this.around.words(axis).extent]);
    const across = other(axis);
    const given = this.given(layer, axis);
    if (given !== null && layer.placing[axis].kind === 'edges') return orLayout(given);
    const isStrict = layer.placing.ratio?.strict === true;
    const otherFollows = extentRule(layer.placing[across])?.kind === 'from-ratio';
    if (given !== null && !(isStrict && otherFollows))
      return given === 'layout' ? null : this.bounded(given, this.limits(layer, axis));
    if (!isStrict) return this.following(layer, axis, true);
    if (layer.placing[across].kind === 'edges') return this.following(layer, axis, false);
    if (given === 'layout') throw new Unsaid(layer, 'a text that keeps a shape');
    if (given) return this.strictSize(layer, axis, given);
    // The bounds of both axes act on both alike, so that the one follows from the other.
    return this.following(layer, axis, false);
  }

  /** The natural size of a picture that has it on both axes and keeps its shape; `null` of any other. */
  private naturalBoth(layer: PlacedLayer): NaturalCss | null {
    const { x, y, ratio } = layer.placing;
    const natural = this.around.natural(layer);
    const isBoth = extentRule(x)?.kind === 'natural' && extentRule(y)?.kind === 'natural';
    if (!ratio || !natural || !isBoth) return null;
    if (!ratio.strict) throw new Unsaid(layer, 'a natural size with a shape that gives way');
    return natural;
  }

  /** A size that follows from the other axis by the shape. @param hasBounds whether its own bounds hold */
  private following(layer: PlacedLayer, axis: Axis, hasBounds: boolean): Sum | null {
    const from = this.size(layer, other(axis));
    const limits = this.limits(layer, axis);
    if (from) {
      const theirs = this.around.declared(layer, other(axis), Sum.max([Sum.px(0), from]));
      const size = theirs.times(this.shape(layer, axis));
      return hasBounds ? this.bounded(size, limits) : size;
    }
    if (hasBounds && (limits.low || limits.high))
      throw new Unsaid(layer, 'bounds of a size that follows from a text');
    if (layer.kind === 'text') throw new Unsaid(layer, 'a text that keeps a shape');
    return null;
  }

  /** The extent that the rule itself gives; `null` when it follows from the other axis, `layout` when from lines of text. */
  private given(layer: PlacedLayer, axis: Axis): Sum | 'layout' | null {
    const rule = layer.placing[axis];
    if (rule.kind === 'edges') return this.around.between(layer, rule, axis);
    const { extent } = rule;
    switch (extent.kind) {
      case 'from-ratio':
        return null;
      case 'length':
        return this.around.bound(layer, extent, axis);
      case 'hug':
        return this.around.hugged(layer, axis);
      case 'natural': {
        const natural = this.around.natural(layer);
        return natural ? natural[this.around.words(axis).extent] : 'layout';
      }
    }
  }

  private shape(layer: PlacedLayer, axis: Axis): number | string {
    const { ratio } = layer.placing;
    if (ratio!.value === 'own') return this.around.natural(layer)!.shape[axis];
    return axis === 'x' ? ratio!.value : 1 / ratio!.value;
  }

  private limits(layer: PlacedLayer, axis: Axis): { low: Sum | null; high: Sum | null } {
    const rule = extentRule(layer.placing[axis]);
    const bound = (b: Bound | undefined) => (b ? this.around.bound(layer, b, axis) : null);
    return { low: bound(rule?.min), high: bound(rule?.max) };
  }

  /** min wins over max, as in CSS 2.1 §10.4. */
  private bounded(value: Sum, { low, high }: { low: Sum | null; high: Sum | null }): Sum {
    const below = high ? Sum.min([value, high]) : value;
    return low ? Sum.max([below, low]) : below;
  }

  /** The bounds of both axes act on both, min before max. */
  private strictSize(layer: PlacedLayer, axis: Axis, given: Sum): Sum {
    const across = other(axis);
    const per = this.shape(layer, axis);
    const [mine, theirs] = [this.limits(layer, axis), this.limits(layer, across)];
    const both = (word: 'min' | 'max', bounds: (Sum | null | undefined)[]) => {
      const all = bounds.filter((b): b is Sum => !!b);
      return all.length > 0 ? Sum[word](all) : null;
    };
    return this.bounded(given, {
      low: both('max', [mine.low, theirs.low?.times(per)]),
      high: both('min', [mine.high, theirs.high?.times(per)]),
    });
  }
}

const orLayout = (size: Sum | 'layout'): Sum | null => (size === 'layout' ? null : size);
