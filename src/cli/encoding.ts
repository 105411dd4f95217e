import { Encoding, USUAL_QUALITY, type BudgetFor, type EncodedAs } from '@/formats/files/encoding';
import { Refusal } from './opened';

/** How files are to be encoded anew, as it is written on the command line. */
export interface EncodingAsked {
  as?: EncodedAs;
  /** 1 to 100 */
  quality?: string;
  /** kB */
  budget?: string;
  for?: BudgetFor;
}

/** A size in kB as bytes. @param option it was written behind @throws Refusal for anything but a number of kB */
export function bytesOf(kilobytes: string | undefined, option: string): number | undefined {
  if (kilobytes === undefined) return undefined;
  const kb = Number(kilobytes);
  if (!(kb > 0)) throw new Refusal(`“${kilobytes}” is no number of kB. Write ${option} 300.`);
  return Math.round(kb * 1000);
}

/** @throws Refusal for what does not go together or is out of range */
export function encodingOf({ as, quality, budget, for: each }: EncodingAsked): Encoding | undefined {
  const said = quality ?? budget ?? each;
  if (!as && said === undefined) return undefined;
  if (!as) throw new Refusal('Say as what the files are encoded: --as webp, avif, jpeg or png.');
  if (quality !== undefined && budget !== undefined)
    throw new Refusal('A quality and a budget exclude each other: write --quality or --budget.');
  const bytes = bytesOf(budget, '--budget');
  if (each && bytes === undefined)
    throw new Refusal('--for says what a budget is for: write --budget as well.');
  const keep =
    bytes === undefined
      ? { by: 'quality' as const, quality: Number(quality ?? USUAL_QUALITY) }
      : { by: 'budget' as const, bytes, for: each ?? 'set' };
  const read = Encoding.safeParse({ as, keep });
  if (!read.success) throw new Refusal(`“${quality}” is no quality. Write a whole number from 1 to 100.`);
  return read.data;
}
