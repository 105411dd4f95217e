import { readFileSync } from 'node:fs';
import path from 'node:path';
import { LRUCache } from 'lru-cache';
import { fontsOfScene, type Documents } from '@/core/project/documents';
import { FACES, type FONTS, type ShippedFace } from '@/core/text/style';
import { createFonts, SUBSETS, type Fonts, type Subset } from '@/render/fonts';
import { cached } from '@/render/cached';
import { readOriginalNow } from '../blobs';
import { notFound } from '../problem';
import { productFolder } from '../settings';

/** The families behind the names; each is one of our dependencies. */
export const FONT_FAMILIES: Record<(typeof FONTS)[number], string> = {
  sans: 'commissioner',
  serif: 'literata',
};

function fileOf(face: ShippedFace, subset: Subset): string {
  const [font, weight] = face.split('-') as [(typeof FONTS)[number], string];
  const family = FONT_FAMILIES[font];
  const name = `${family}-${subset}-${weight}-normal.woff`;
  return path.join(productFolder(), 'node_modules', '@fontsource', family, 'files', name);
}

/** One part of a face. @throws Problem 404 for a name that is not one of ours */
export function fontFile(face: string, subset: string): Buffer {
  const known = FACES.find((f) => f === face);
  const part = SUBSETS.find((s) => s === subset);
  if (!known || !part) throw notFound('This font');
  return readFileSync(fileOf(known, part));
}

let shipped: Fonts | null = null;

/** The shipped fonts, read once. */
const shippedFonts = (): Fonts =>
  (shipped ??= createFonts(
    Object.fromEntries(FACES.map((face) => [face, SUBSETS.map((s) => fontFile(face, s))])) as Record<
      ShippedFace,
      Buffer[]
    >,
  ));

/** Fonts with the same imported ones are the same object, which surveys tell by. */
const withThem = new LRUCache<string, Fonts>({ max: 8 });

/**
 * The shipped fonts and imported ones.
 * @param hashes of those that are written with @param read the bytes of one; from the store when absent
 */
export function serverFonts(hashes: readonly string[] = [], read = readOriginalNow): Fonts {
  if (hashes.length === 0) return shippedFonts();
  const sorted = hashes.toSorted();
  return cached(withThem, sorted.join(), () =>
    shippedFonts().with(new Map(sorted.map((hash) => [hash, read(hash)]))),
  );
}

/** The fonts that all scenes of a project need. */
export const fontsFor = ({ scenes }: Documents, read = readOriginalNow): Fonts =>
  serverFonts([...new Set(Object.values(scenes).flatMap(fontsOfScene))], read);
