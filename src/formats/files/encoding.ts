import { z } from 'zod';
import { QUALITIES } from '@/core/files/budget';
import type { FileFacts } from './names';

export const ENCODED_AS = ['webp', 'avif', 'jpeg', 'png'] as const;
export type EncodedAs = (typeof ENCODED_AS)[number];

/** At which files are encoded where nothing is said of it. */
export const USUAL_QUALITY = 80;

/** What one budget is for: each file, the files of each picture together, or all of them. */
export const BUDGET_FOR = ['file', 'picture', 'set'] as const;
export type BudgetFor = (typeof BUDGET_FOR)[number];

/** What is done to files on their way out; vectors stay as they are. */
export const Encoding = z.object({
  as: z.enum(ENCODED_AS).describe('png is one with a palette, of fewer colours the less quality it has'),
  keep: z.discriminatedUnion('by', [
    z.object({ by: z.literal('quality'), quality: z.int().min(QUALITIES.least).max(QUALITIES.most) }),
    z.object({ by: z.literal('budget'), bytes: z.int().positive(), for: z.enum(BUDGET_FOR) }),
  ]),
});
export type Encoding = z.infer<typeof Encoding>;

export const ENCODED_WORDS: Record<EncodedAs, string> = {
  webp: 'WebP',
  avif: 'AVIF',
  jpeg: 'JPEG',
  png: 'PNG with a palette',
};

/** What is known of files once they are encoded, as far as it can be known before: their type. */
export const encodedFacts = (facts: FileFacts, as: EncodedAs): FileFacts =>
  Object.fromEntries(
    Object.entries(facts).map(([hash, fact]) => [hash, fact.type === 'svg' ? fact : { ...fact, type: as }]),
  );

/** What becomes of one file that is encoded anew, as the server says it. */
export const EncodedFileSaid = z.object({
  was: z.int().positive().describe('bytes before'),
  bytes: z.int().positive(),
  quality: z.int(),
  alike: z.number().describe('structural similarity to what it was, 1 for the same'),
  part: z
    .object({ x: z.int(), y: z.int(), width: z.int(), height: z.int() })
    .describe('where it differs most, px'),
  picture: z.string().describe('that part before, after, and how they differ, as a data address of a PNG'),
});
export type EncodedFileSaid = z.infer<typeof EncodedFileSaid>;
