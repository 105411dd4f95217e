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

export const isLength = (figure: string): boolean => LENGTHS.has(figure);

/** A length that is said in lu, or several of them, in device px: “−12 · 8” at 3 px per lu is “−36 · 24 px”. */
export const inPx = (text: string, density: number): string =>
  `${text
    .replace(/ lu$/, '')
    .replaceAll(/[−-]?\d+(\.\d+)?/g, (n) => sayNumber(Number(n.replace('−', '-')) * density))} px`;
