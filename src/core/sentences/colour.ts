import { sayAlpha, sayNumber } from '../words/numbers';
import type { Paint } from '../values/paint';
import type { Colour } from '../values/values';
import type { Part, Path } from './parts';
import type { Names } from './words';

/** “#12303b”, “#ffffff at 80 %” */
function sayHex(hex: string): string {
  const alpha = hex.length === 9 ? parseInt(hex.slice(7), 16) / 255 : 1;
  return alpha < 1 ? `${hex.slice(0, 7)} at ${sayAlpha(alpha)}` : hex;
}

/** “deep water”, “#12303b”, “#ffffff, dark #101418” */
export function sayColour(colour: Colour, names: Names): string {
  if ('named' in colour) return names.named.find((n) => n.id === colour.named)?.name ?? colour.named;
  return colour.dark ? `${sayHex(colour.light)}, dark ${sayHex(colour.dark)}` : sayHex(colour.light);
}

const DIRECTIONS: Record<number, string> = {
  0: 'upwards',
  90: 'to the right',
  180: 'downwards',
  270: 'to the left',
};

/** “deep water”, “a gradient downwards, #12303b to #e6b98a”, “a round gradient, …” */
export function sayPaint(paint: Paint, names: Names): string {
  if (!('gradient' in paint)) return sayColour(paint, names);
  const colours = paint.stops.map((s) => sayColour(s.colour, names)).join(' to ');
  if (paint.gradient === 'radial') return `a round gradient, ${colours}`;
  const angle = ((paint.angle % 360) + 360) % 360;
  return `a gradient ${DIRECTIONS[angle] ?? `at ${sayNumber(angle)}°`}, ${colours}`;
}

export const paintPart = (value: Paint, path: Path, names: Names): Part => ({
  text: sayPaint(value, names),
  paths: [path],
  editable: { kind: 'paint', value },
});

export const colourPart = (value: Colour, path: Path, names: Names): Part => ({
  text: sayColour(value, names),
  paths: [path],
  editable: { kind: 'colour', value },
});
