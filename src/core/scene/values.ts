import { z } from 'zod';

export const Id = z.string().min(1).max(64);

/** What a copy of something is called, within the 120 characters that a name may have. */
export const nameOfCopy = (name: string) => `${name.slice(0, 110)} (copy)`;

/** A length: `lu` logical units, `px` device px, `%` of what the place where it is used says. */
export const PlainLength = z.object({ value: z.number(), unit: z.enum(['lu', '%', 'px']) });
export const Named = z.object({ named: Id });
export const Length = z.union([PlainLength, Named]);
export type Length = z.infer<typeof Length>;

/** sRGB, `#rrggbb` or `#rrggbbaa`. */
export const HexColour = z
  .string()
  .regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/i, 'a colour is #rrggbb or #rrggbbaa');
export const PlainColour = z.object({ light: HexColour, dark: HexColour.optional() });
export const Colour = z.union([PlainColour, Named]);
export type Colour = z.infer<typeof Colour>;

export const NamedValue = z.looseObject({
  id: Id,
  name: z.string().min(1).max(120),
  value: z.union([PlainLength, PlainColour]),
});
export type NamedValue = z.infer<typeof NamedValue>;

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

function namedValue<K extends 'unit' | 'light'>(
  id: string,
  named: readonly NamedValue[],
  key: K,
  what: string,
) {
  const found = named.find((n) => n.id === id);
  if (!found || !(key in found.value)) throw new Error(`No ${what} is named “${id}” in this project.`);
  return found.value as Extract<NamedValue['value'], Record<K, unknown>>;
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
