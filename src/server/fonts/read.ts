import type { Font } from 'fontkit';
import { readFont } from '@/render/fonts';
import { Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { scriptsOf, SCRIPT_LETTERS } from './scripts';
import { isUnpackedWithin } from './unpacked';

export interface FontToRead {
  bytes: Buffer;
  /** the name it came with, for messages */
  name: string;
}

/** What is found out about a font when it is taken in. */
export interface FontRead {
  name: string;
  /** by the names of Unicode */
  scripts: string[];
}

export const megabytes = INPUT_LIMITS.fontBytes / 1024 / 1024;

const SAMPLE = 64;

/**
 * Some letters that a font has. Its table of letters is asked for each and never listed: a few bytes of it can name
 * billions.
 */
function sampleOf(font: Font): string {
  const letters = [...SCRIPT_LETTERS, ...Array.from({ length: 94 }, (_, i) => 33 + i)];
  return String.fromCodePoint(...letters.filter((c) => font.hasGlyphForCodePoint(c)).slice(0, SAMPLE));
}

/** Reads a font as far as it will be read later: its metrics, its letters and their outlines. */
function opened(bytes: Buffer): Font {
  const font = readFont(bytes);
  if (!(font.unitsPerEm > 0) || font.numGlyphs < 1) throw new Error('It has no letters.');
  const { glyphs } = font.layout(sampleOf(font));
  for (const glyph of glyphs) glyph.path.toSVG();
  return font;
}

const MOST_NAME = 120;

/** The name that a font gives itself, without control characters; that of its file where it gives none. */
function nameOf(font: Font, file: string): string {
  const own = [font.fullName, font.familyName].find((n) => typeof n === 'string' && n.trim() !== '');
  const clean = (own ?? file.replace(/\.\w+$/, '')).replace(/\p{Cc}/gu, ' ').trim();
  return (clean || 'Font').slice(0, MOST_NAME);
}

/**
 * Looks at a font: unpacked within the limit, and read.
 * @throws Problem 413 too large once it is unpacked, 422 damaged
 */
export async function examineFont({ bytes, name }: FontToRead): Promise<FontRead> {
  if (!isUnpackedWithin(bytes, INPUT_LIMITS.fontBytes))
    throw new Problem(
      413,
      `“${name}” is larger than ${megabytes} MB once it is unpacked, which is the limit.`,
    );
  try {
    const font = opened(bytes);
    return { name: nameOf(font, name), scripts: scriptsOf((c) => font.hasGlyphForCodePoint(c)) };
  } catch {
    throw new Problem(
      422,
      `“${name}” is damaged or cut short and cannot be read as a font. Export it again.`,
    );
  }
}
