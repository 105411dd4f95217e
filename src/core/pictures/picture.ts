import { z } from 'zod';
import { Appearance, Id } from '../values/values';
import { documentObject } from '../values/object';

export const Hash = z.string().regex(/^[0-9a-f]{64}$/, 'a SHA-256 in hexadecimal');
const share = z.number().min(0).max(1);

/** One file of a picture. `density` is px of the file per logical unit: natural size = px ÷ density. */
export const Rendition = documentObject({
  hash: Hash,
  widthPx: z.int().positive(),
  heightPx: z.int().positive(),
  density: z.number().positive(),
  appearance: Appearance,
  vector: z.boolean(),
  /** of the file */
  bytes: z.int().positive().optional(),
  /** its colour profile, where that is not sRGB */
  profile: z.string().max(120).optional(),
  /** whether some of it is see-through; not known of files that were kept earlier */
  transparent: z.boolean().optional(),
  /** that its EXIF turns it although it is a WebP, which browsers and most apps show as its pixels lie */
  turned: z.literal(true).optional(),
  /** of the file that it was made from here */
  madeFrom: Hash.optional(),
  /** that somebody has named it as the one from which the others of its cut and appearance are made */
  master: z.boolean().optional(),
});
export type Rendition = z.infer<typeof Rendition>;

/** Densities that come out of a division may differ in their last bits. */
export const sameDensity = (a: number, b: number) => Math.abs(a - b) < 1e-6;

/** The file with the most px across, from which others are made. */
export const widestOf = (files: readonly Rendition[]): Rendition =>
  files.reduce((a, b) => (b.widthPx > a.widthPx ? b : a));

/** Shares of the cut's width and height, 0..1. */
export const KeepArea = documentObject({
  subject: z.string().min(1).max(120),
  rect: z.strictObject({ x: share, y: share, width: share, height: share }),
  weight: z.number().nonnegative(),
});

export type KeepArea = z.infer<typeof KeepArea>;

export const Cut = documentObject({
  cut: z.enum(['any', 'portrait', 'landscape']),
  renditions: z.array(Rendition).min(1).max(64),
  keepAreas: z.array(KeepArea).max(32),
  focalPoint: z.strictObject({ x: share, y: share }),
});
export type Cut = z.infer<typeof Cut>;

const NONE: readonly string[] = [];

/** Subjects of a picture that are marked on others of its cuts and not on this one. */
export const unmarkedIn = (cuts: readonly Cut[], cut: Cut): readonly string[] =>
  cuts.length === 1
    ? NONE
    : [...new Set(cuts.flatMap((c) => c.keepAreas.map((k) => k.subject)))].filter(
        (subject) => !cut.keepAreas.some((k) => k.subject === subject),
      );

export const Picture = documentObject({
  id: Id,
  name: z.string().min(1).max(120),
  cuts: z.array(Cut).min(1).max(3),
});
export type Picture = z.infer<typeof Picture>;
