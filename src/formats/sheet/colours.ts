import { converter, parse } from 'culori';
import type { Paint } from '@/core/values/paint';
import { plainOf, resolveColour, type Colour, type NamedValue } from '@/core/values/values';
import type { Fact } from './schema';

const toOklch = converter('oklch');
const round = (value: number | undefined, steps: number) => Math.round((value ?? 0) * steps) / steps;

/** A colour of sRGB as `oklch()`: lightness in per cent, chroma, hue. Source: CSS Color 4 §9.4. */
export function oklchOf(hex: string): string {
  const { l, c, h, alpha } = toOklch(parse(hex))!;
  const isGrey = round(c, 1e4) === 0;
  const over = alpha !== undefined && alpha < 1 ? ` / ${round(alpha, 1000)}` : '';
  return `oklch(${round(l * 100, 100)}% ${round(c, 1e4)} ${isGrey ? 0 : round(h, 100)}${over})`;
}

/** A colour in its two notations. */
export const sayHexAndOklch = (hex: string): string => `${hex} · ${oklchOf(hex)}`;

/** A colour for light and for dark; one without a dark half says what is taken instead. */
export function colourFacts(id: string, what: string, colour: Colour, named: readonly NamedValue[]): Fact[] {
  const name = 'named' in colour ? named.find((n) => n.id === colour.named)?.name : undefined;
  const plain = 'named' in colour ? plainOf(colour.named, named) : colour;
  const light = resolveColour(colour, 'light', named);
  const dark = plain && 'light' in plain ? plain.dark : undefined;
  const called = name ? `${name}, ` : '';
  const fact = (half: 'light' | 'dark', hex: string, text: string): Fact => ({
    id: `${id}-${half}`,
    what: `${what}, ${half}`,
    text,
    colour: hex,
  });
  return [
    fact('light', light, `${called}${sayHexAndOklch(light)}`),
    dark
      ? fact('dark', dark, `${called}${sayHexAndOklch(dark)}`)
      : fact('dark', light, 'none of its own: the light one is taken'),
  ];
}

/** Every colour of a paint. */
export function paintFacts(id: string, what: string, paint: Paint, named: readonly NamedValue[]): Fact[] {
  if (!('gradient' in paint)) return colourFacts(id, what, paint, named);
  return paint.stops.flatMap((stop, i) =>
    colourFacts(`${id}-${i + 1}`, `${what}, colour ${i + 1} at ${stop.at} %`, stop.colour, named),
  );
}
