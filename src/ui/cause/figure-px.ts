import { sayNumber } from '@/core/words/numbers';

/** The figures of a layer that are lengths in lu. */
const LENGTHS: ReadonlySet<string> = new Set([
  'drawn-width',
  'drawn-height',
  'clearance',
  'clearance-screen',
  'across-fold',
  'off-centre',
  'font-size',
]);

/** Losses of a side are lengths as well, in all they are shares. */
export const isLength = ({ name, side }: { name: string; side?: string }): boolean =>
  LENGTHS.has(name) || (name === 'bare-screen' && side !== undefined);

/** A figure with the unit that stands beside it in the table of figures, once for all sides. */
export function withUnit({ name, side }: { name: string; side?: string }, text: string): string {
  if (side === undefined) return text;
  if (name === 'crop') return `${text} %`;
  return name === 'sub-pixel' ? `${text} px` : text;
}

/** A length that is said in lu, or several of them, in device px: “−12 · 8” at 3 px per lu is “−36 · 24 px”. */
export const inPx = (text: string, density: number): string =>
  `${text
    .replace(/ lu$/, '')
    .replaceAll(/[−-]?\d+(\.\d+)?/g, (n) => sayNumber(Number(n.replace('−', '-')) * density))} px`;
