import type { Axis } from '@/core/geometry/rect';
import { plainOf, type Length, type NamedValue } from '@/core/values/values';
import { Sum } from './sum';

/** What the words of an axis are in CSS. `start` and `end` are the properties of the sides that rules call so. */
export interface AxisCss {
  start: 'left' | 'right' | 'top';
  end: 'right' | 'left' | 'bottom';
  extent: 'width' | 'height';
  at: 'x' | 'y';
}

/** A scene that is shown mirrored counts across from the right. */
export const axisCss = (axis: Axis, mirrored: boolean): AxisCss => {
  if (axis === 'y') return { start: 'top', end: 'bottom', extent: 'height', at: 'y' };
  return mirrored
    ? { start: 'right', end: 'left', extent: 'width', at: 'x' }
    : { start: 'left', end: 'right', extent: 'width', at: 'x' };
};

/** Lengths of rules as CSS. Named ones go by the custom property that the scene declares for them. */
export class Lengths {
  /** @param properties the custom property of each named length, by id */
  constructor(
    private readonly named: readonly NamedValue[],
    private readonly properties: ReadonlyMap<string, string>,
  ) {}

  /** A share is of the basis, which is only asked for where there is one. */
  of(length: Length, basis: () => Sum): Sum {
    const plain = 'named' in length ? plainOf(length.named, this.named) : length;
    if (!plain || !('unit' in plain)) throw new Error('A length stands for a value that is none.');
    if (plain.unit === '%') return basis().times(plain.value / 100);
    const property = 'named' in length ? this.properties.get(length.named) : undefined;
    if (property) return Sum.of(`var(${property})`, plain.value >= 0);
    return plainLength(plain);
  }
}

/** A length that is no share. @param unit a px of the device is that of the screen's density */
export const plainLength = ({ value, unit }: { value: number; unit: 'lu' | '%' | 'px' }): Sum =>
  unit === 'px' && value !== 0 ? Sum.of(`1px / var(--density)`, true).times(value) : Sum.px(value);
