import type { Axis } from '../src/core/geometry/rect';
import type { AxisRule, Basis, Bound, Edge, Extent, Placing, Region } from '../src/core/placing/rule';
import type { Layer, PictureLayer } from '../src/core/scene/scene';
import type { Length } from '../src/core/values/values';
import type { MadeFile } from './pictures';
import type { HeldScreen } from './screens';

/** Rules of placing as CSS: what is worked out, the browser works out. */

interface Words {
  start: 'left' | 'top' | 'right';
  end: 'right' | 'bottom' | 'left';
  extent: 'width' | 'height';
  at: 'x' | 'y';
  size: 'w' | 'h';
}
/** The mirrored preview: what a rule calls its start lies at the right. */
const MIRRORED: Words = { start: 'right', end: 'left', extent: 'width', at: 'x', size: 'w' };
const WORDS: Record<Axis, Words> = {
  x: { start: 'left', end: 'right', extent: 'width', at: 'x', size: 'w' },
  y: { start: 'top', end: 'bottom', extent: 'height', at: 'y', size: 'h' },
};

const isLayer = (r: Region): r is `layer:${string}` => r.startsWith('layer:');
const anchor = (r: `layer:${string}`) => `--a-${r.slice('layer:'.length)}`;
export const plain = (l: Length) => l as Extract<Length, { unit: string }>;

export class PlacingCss {
  constructor(
    private readonly screen: HeldScreen,
    private readonly files: readonly MadeFile[],
    private readonly mirrored: boolean,
  ) {}

  private words(axis: Axis): Words {
    return this.mirrored && axis === 'x' ? MIRRORED : WORDS[axis];
  }

  length(l: Length, basis: string): string {
    const { value, unit } = plain(l);
    if (unit === '%') return `calc(${basis} * ${value / 100})`;
    return unit === 'px' ? `calc(${value}px / ${this.screen.density})` : `${value}px`;
  }

  sizeOf(r: Region, axis: Axis): string {
    if (r === 'parent') return '100%';
    return isLayer(r)
      ? `anchor-size(${anchor(r)} ${this.words(axis).extent})`
      : `var(--${r}-${this.words(axis).size})`;
  }

  /** A side of a region as a distance from the start of what contains the layer, for the property of that side. */
  private fromStart(r: Region, side: 'start' | 'end', axis: Axis): string {
    const w = this.words(axis);
    if (isLayer(r)) return `anchor(${anchor(r)} ${w[side]})`;
    if (r === 'parent') return side === 'start' ? '0px' : '100%';
    const isFirst = w[side] === 'left' || w[side] === 'top';
    const at = isFirst ? `var(--${r}-${w.at})` : `(var(--${r}-${w.at}) + var(--${r}-${w.size}))`;
    return w.start === 'right' ? `(100% - ${at})` : at;
  }

  /** The same from its end, for `right` and `bottom`. */
  private fromEnd(r: Region, side: 'start' | 'end', axis: Axis): string {
    if (isLayer(r)) return `anchor(${anchor(r)} ${this.words(axis)[side]})`;
    return `(100% - ${this.fromStart(r, side, axis)})`;
  }

  private basis(of: Basis | undefined, axis: Axis): string {
    if (of === 'short') return 'min(var(--screen-w), var(--screen-h))';
    if (of === 'long') return 'max(var(--screen-w), var(--screen-h))';
    return this.sizeOf(of ?? 'screen', axis);
  }

  private edge({ region, side, offset }: Edge, own: 'start' | 'end', axis: Axis): string {
    const at = (side ?? own) as 'start' | 'end';
    const from = own === 'start' ? this.fromStart(region, at, axis) : this.fromEnd(region, at, axis);
    return `calc(${from} + ${this.length(offset, this.sizeOf(region, axis))})`;
  }

  /** The box in which an item is put along an axis, and how it is aligned there. */
  along(rule: AxisRule, axis: Axis): { css: string; align: string } {
    const w = this.words(axis);
    switch (rule.kind) {
      case 'edges':
        return {
          css: `${w.start}:${this.edge(rule.start, 'start', axis)};${w.end}:${this.edge(rule.end, 'end', axis)}`,
          align: 'flex-start',
        };
      case 'start':
        return {
          css: `${w.start}:${this.edge(rule.edge, 'start', axis)};${w.extent}:0`,
          align: 'flex-start',
        };
      case 'end':
        return { css: `${w.end}:${this.edge(rule.edge, 'end', axis)};${w.extent}:0`, align: 'flex-end' };
      case 'middle': {
        const shift = this.length(rule.shift, this.sizeOf(rule.region, axis));
        const start = `calc(${this.fromStart(rule.region, 'start', axis)} + ${shift})`;
        const end = `calc(${this.fromEnd(rule.region, 'end', axis)} - ${shift})`;
        return { css: `${w.start}:${start};${w.end}:${end}`, align: 'center' };
      }
    }
  }

  private bound(b: Bound | undefined, axis: Axis): string | null {
    return b ? this.length(b.length, this.basis(b.of, axis)) : null;
  }

  /** lu */
  natural(layer: PictureLayer): { width: number; height: number } {
    const file = this.fileOf(layer);
    const { widthPx, heightPx, density } = file.picture.cuts[0]!.renditions[0]!;
    return { width: widthPx / density, height: heightPx / density };
  }

  fileOf({ picture }: PictureLayer): MadeFile {
    return this.files.find((f) => f.picture.id === picture)!;
  }

  /** width ÷ height; `null` without one */
  shape(layer: Layer, { ratio }: Placing): number | null {
    if (!ratio) return null;
    if (ratio.value !== 'own') return ratio.value;
    const { width, height } = this.natural(layer as PictureLayer);
    return width / height;
  }

  /** A length within its own bounds and, of a strict shape, those of the other axis. min wins over max. */
  private within(
    value: string,
    own: Extent,
    across: { extent: Extent; per: number } | null,
    axis: Axis,
  ): string {
    const other = axis === 'x' ? 'y' : 'x';
    const bounds = (key: 'min' | 'max') => {
      const theirs = across && this.bound(across.extent[key], other);
      return [this.bound(own[key], axis), theirs && `calc(${theirs} * ${across.per})`].filter(
        (b) => b !== null,
      );
    };
    const below = ['min', [value, ...bounds('max')]] as const;
    const above = ['max', [`${below[0]}(${below[1].join(', ')})`, ...bounds('min')]] as const;
    return `${above[0]}(${above[1].join(', ')})`;
  }

  /** An extent that follows from the shape: a strict one minds no bounds of its own, the other axis has them. */
  private following(extent: Extent, strict: boolean, axis: Axis): string {
    const w = this.words(axis);
    if (strict) return `${w.extent}:auto`;
    const [min, max] = [this.bound(extent.min, axis), this.bound(extent.max, axis)];
    const css = [`${w.extent}:auto`, max && `max-${w.extent}:${max}`, min && `min-${w.extent}:${min}`];
    return css.filter(Boolean).join(';');
  }

  private own(layer: Layer, extent: Extent, axis: Axis): string {
    return extent.kind === 'length'
      ? this.length(extent.length, this.basis(extent.of, axis))
      : `${this.natural(layer as PictureLayer)[this.words(axis).extent]}px`;
  }

  extentCss(layer: Layer, placing: Placing, axis: Axis): string {
    const w = this.words(axis);
    const rule = placing[axis];
    if (rule.kind === 'edges') return `${w.extent}:100%`;
    const { extent } = rule;
    const strict = placing.ratio?.strict === true;
    if (extent.kind === 'from-ratio') return this.following(extent, strict, axis);
    if (extent.kind === 'natural' && layer.kind === 'text')
      return axis === 'x' ? 'width:max-content' : 'height:auto';
    if (extent.kind === 'natural' && placing.ratio && axis === 'y') return 'height:auto';
    return `${w.extent}:${this.within(this.own(layer, extent, axis), extent, this.acrossOf(layer, placing, axis), axis)}`;
  }

  /** The other axis of a strict shape, whose bounds act on this one as well, and how much of this there is per that. */
  private acrossOf(layer: Layer, placing: Placing, axis: Axis): { extent: Extent; per: number } | null {
    const across = placing[axis === 'x' ? 'y' : 'x'];
    if (across.kind === 'edges' || placing.ratio?.strict !== true) return null;
    if (across.extent.kind === 'length' || across.extent.kind === 'hug') return null;
    const shape = this.shape(layer, placing)!;
    return { extent: across.extent, per: axis === 'x' ? shape : 1 / shape };
  }
}
