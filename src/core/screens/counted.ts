import type { Case } from './cases';
import { SLOT_KIND } from './screen';
import { turnedSize } from './turn';

/** Ratios, width ÷ height, from the least to the greatest that a window may have. */
export interface Ratios {
  low: number;
  high: number;
}

/** Bounds are given in thousandths. */
const ROUNDING = 5e-4;

/** Whether a window of this ratio is one that the app may have; without bounds every one is, and so is a slot of an icon. */
export function isCounted({ screen, rotation }: Pick<Case, 'screen' | 'rotation'>, ratios?: Ratios): boolean {
  if (!ratios || screen.kind === SLOT_KIND) return true;
  const { width, height } = turnedSize(screen, rotation);
  return width / height >= ratios.low - ROUNDING && width / height <= ratios.high + ROUNDING;
}

/** The cases that are judged; the others lie outside the ratios that the project allows. */
export const countedCases = (cases: readonly Case[], ratios?: Ratios): Case[] =>
  cases.filter((c) => isCounted(c, ratios));
