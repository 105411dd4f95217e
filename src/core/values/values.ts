import { z } from 'zod';
import { documentObject } from './object';

/** Names that every object has already: a list by id could not tell them from its own. */
const RESERVED = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype']);

export const Id = z
  .string()
  .min(1)
  .max(64)
  .refine((id) => !RESERVED.has(id), 'is a name that cannot be used; take another one');

/** What a copy of something is called, within the 120 characters that a name may have. */
export const nameOfCopy = (name: string) => `${name.slice(0, 110)} (copy)`;

/** A length: `lu` logical units, `px` device px, `%` of what the place where it is used says. */
export const PlainLength = z.strictObject({ value: z.number(), unit: z.enum(['lu', '%', 'px']) });
export const Named = z.strictObject({ named: Id });
export const Length = z.union([PlainLength, Named]);
export type Length = z.infer<typeof Length>;

/** sRGB, `#rrggbb` or `#rrggbbaa`. */
export const HexColour = z
  .string()
  .regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/i, 'a colour is #rrggbb or #rrggbbaa');
export const PlainColour = z.strictObject({ light: HexColour, dark: HexColour.optional() });
export const Colour = z.union([PlainColour, Named]);
export type Colour = z.infer<typeof Colour>;

/** A length or a colour with a name; one that stands for another named value of the same kind follows it. */
export const NamedValue = documentObject({
  id: Id,
  name: z.string().min(1).max(120),
  value: z.union([PlainLength, PlainColour, Named]),
  /** what it is for */
  description: z.string().max(1000).optional(),
});
export type NamedValue = z.infer<typeof NamedValue>;

/**
 * What a named value comes to, through all that it stands for; `null` where that is not there, or leads back to itself.
 */
export function plainOf(
  id: string,
  named: readonly NamedValue[],
): Exclude<NamedValue['value'], { named: string }> | null {
  let at: string = id;
  for (let steps = 0; steps <= named.length; steps++) {
    const value = named.find((n) => n.id === at)?.value;
    if (!value) return null;
    if (!('named' in value)) return value;
    at = value.named;
  }
  return null;
}

export const Appearance = z.enum(['light', 'dark']);
export type Appearance = z.infer<typeof Appearance>;
export const APPEARANCES = Appearance.options;

export const lu = (value: number): Length => ({ value, unit: 'lu' });
/** A share of something, as it stands; what a named length holds is not looked at. */
export const isPercent = (length: Length) => !('named' in length) && length.unit === '%';
export const isZero = (length: Length) => !('named' in length) && length.value === 0;
export const percent = (value: number): Length => ({ value, unit: '%' });

/** A share as a percentage, in hundredths: closer is less than a px on any screen. */
export const percentOf = (share: number): number => Math.round(share * 1e4) / 100;

/** The named values that come to a length, or to a colour. */
export const namedOf = (kind: 'length' | 'colour', named: readonly NamedValue[]): NamedValue[] =>
  named.filter((n) => {
    const value = plainOf(n.id, named);
    return value !== null && (kind === 'colour') === 'light' in value;
  });

/** Those that a named value may stand for: of its kind, and none that leads back to it. */
export const namedFor = (entry: NamedValue, named: readonly NamedValue[]): NamedValue[] => {
  const value = plainOf(entry.id, named);
  const leadsBack = (n: NamedValue): boolean => {
    if (n.id === entry.id) return true;
    const { value: v } = n;
    const next = 'named' in v ? named.find((o) => o.id === v.named) : undefined;
    return next !== undefined && leadsBack(next);
  };
  return namedOf(value && 'unit' in value ? 'length' : 'colour', named).filter((n) => !leadsBack(n));
};

type Plain = NonNullable<ReturnType<typeof plainOf>>;

function namedValue<K extends 'unit' | 'light'>(
  id: string,
  named: readonly NamedValue[],
  key: K,
  what: string,
) {
  const found = plainOf(id, named);
  if (!found || !(key in found)) throw new Error(`No ${what} is named “${id}” in this project.`);
  return found as Extract<Plain, Record<K, unknown>>;
}

/**
 * A length in logical units.
 * @param basis what 100 % is, in lu
 * @param density device px per lu, for `px`
 * @throws when it refers to a named value that the project does not hold, or that is a colour
 */
export function resolveLength(
  length: Length,
  basis: number,
  density: number,
  named: readonly NamedValue[] = [],
): number {
  const plain = 'named' in length ? namedValue(length.named, named, 'unit', 'length') : length;
  if (plain.unit === '%') return (plain.value / 100) * basis;
  return plain.unit === 'px' ? plain.value / density : plain.value;
}

/** The colour of one appearance; one without a dark half is the same in both. */
export function resolveColour(
  colour: Colour,
  appearance: Appearance,
  named: readonly NamedValue[] = [],
): string {
  const plain = 'named' in colour ? namedValue(colour.named, named, 'light', 'colour') : colour;
  return appearance === 'dark' ? (plain.dark ?? plain.light) : plain.light;
}
