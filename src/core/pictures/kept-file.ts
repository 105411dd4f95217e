import { z } from 'zod';
import { Hash } from './picture';

/** What stands for the profile of a file in CMYK that has none: its colours can only be guessed. */
export const UNPROFILED_CMYK = 'CMYK without a profile';

/** What is kept of a picture file, and what a picture made of it needs to know. */
export const KeptFile = z.object({
  hash: Hash,
  /** png, jpeg, webp, avif or svg */
  type: z.string(),
  bytes: z.int().positive(),
  /** as it is shown: turned as its EXIF orientation says */
  widthPx: z.int().positive(),
  heightPx: z.int().positive(),
  vector: z.boolean(),
  /** whether some of it is see-through */
  transparent: z.boolean(),
  /** its colour profile, where that is not sRGB */
  profile: z.string().nullable(),
  /** whether its EXIF orientation turns it, so that its pixels lie otherwise in the file than they are shown */
  turned: z.boolean().default(false),
  /** more than one where it moves: the first is taken */
  pictures: z.int().positive().default(1),
});
export type KeptFile = z.infer<typeof KeptFile>;
