import { readFileSync } from 'node:fs';
import path from 'node:path';
import { FACES, type FONTS, type Face } from '@/core/text/style';
import { createFonts, SUBSETS, type Fonts, type Subset } from '@/render/fonts';
import { notFound } from './problem';

/** The families behind the names; each is one of our dependencies. */
const FAMILIES: Record<(typeof FONTS)[number], string> = { sans: 'commissioner', serif: 'literata' };

function fileOf(face: Face, subset: Subset): string {
  const [font, weight] = face.split('-') as [(typeof FONTS)[number], string];
  const family = FAMILIES[font];
  const name = `${family}-${subset}-${weight}-normal.woff`;
  return path.join(process.cwd(), 'node_modules', '@fontsource', family, 'files', name);
}

/** One part of a face. @throws Problem 404 for a name that is not one of ours */
export function fontFile(face: string, subset: string): Buffer {
  const known = FACES.find((f) => f === face);
  const part = SUBSETS.find((s) => s === subset);
  if (!known || !part) throw notFound('This font');
  return readFileSync(fileOf(known, part));
}

let fonts: Fonts | null = null;

/** The shipped fonts, read once. */
export const serverFonts = (): Fonts =>
  (fonts ??= createFonts(
    Object.fromEntries(FACES.map((face) => [face, SUBSETS.map((s) => fontFile(face, s))])) as Record<
      Face,
      Buffer[]
    >,
  ));
