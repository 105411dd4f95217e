import { eq } from 'drizzle-orm';
import type { Font } from 'fontkit';
import type { ProjectFont } from '@/core/text/style';
import { readFont } from '@/render/fonts';
import { hasOriginal, hashOf, readOriginal, storeOriginal } from '../blobs';
import { getDb, writing } from '../db/client';
import { fonts } from '../db/schema';
import { notFound, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { scriptsOf } from './scripts';

const ACCEPTED = 'TTF, OTF, WOFF or WOFF2';

/** Types by their first four bytes. Sources: OpenType (font file), WOFF 1 and 2 (header). */
const TYPES: Record<string, string> = {
  '00010000': 'font/ttf',
  '74727565': 'font/ttf',
  '4f54544f': 'font/otf',
  '774f4646': 'font/woff',
  '774f4632': 'font/woff2',
};

/** Of which type a font is, by its first bytes; `null` of what is none. */
export const fontTypeOf = (bytes: Buffer): string | null => TYPES[bytes.toString('hex', 0, 4)] ?? null;

const megabytes = INPUT_LIMITS.fontBytes / 1024 / 1024;
export const fontTooLarge = (name: string) =>
  new Problem(413, `“${name}” is larger than ${megabytes} MB, which is the limit.`);

/** Both kinds of WOFF say in their header how large they are unpacked. */
const unpackedBytes = (bytes: Buffer, type: string) =>
  type.startsWith('font/woff') && bytes.length >= 20 ? bytes.readUInt32BE(16) : bytes.length;

function typeOf(bytes: Buffer, name: string): string {
  if (bytes.length === 0) throw new Problem(422, `“${name}” is empty: it has 0 bytes.`);
  if (bytes.length > INPUT_LIMITS.fontBytes) throw fontTooLarge(name);
  const type = fontTypeOf(bytes);
  if (!type)
    throw new Problem(415, `“${name}” is not a font that can be read. Use ${ACCEPTED}, one font a file.`);
  if (unpackedBytes(bytes, type) > INPUT_LIMITS.fontBytes)
    throw new Problem(
      413,
      `“${name}” is larger than ${megabytes} MB once it is unpacked, which is the limit.`,
    );
  return type;
}

const SAMPLE = 64;

/** Reads a font as far as it will be read later: its metrics, its letters and their outlines. */
function read(bytes: Buffer, name: string): Font {
  try {
    const font = readFont(bytes);
    if (!(font.unitsPerEm > 0) || font.numGlyphs < 1) throw new Error('It has no letters.');
    const { glyphs } = font.layout(String.fromCodePoint(...font.characterSet.slice(0, SAMPLE)));
    for (const glyph of glyphs) glyph.path.toSVG();
    return font;
  } catch {
    throw new Problem(
      422,
      `“${name}” is damaged or cut short and cannot be read as a font. Export it again.`,
    );
  }
}

const MOST_NAME = 120;

/** The name that a font gives itself, without control characters; that of its file where it gives none. */
function nameOf(font: Font, file: string): string {
  const own = [font.fullName, font.familyName].find((n) => typeof n === 'string' && n.trim() !== '');
  const clean = (own ?? file.replace(/\.\w+$/, '')).replace(/\p{Cc}/gu, ' ').trim();
  return (clean || 'Font').slice(0, MOST_NAME);
}

function known(hash: string): ProjectFont | null {
  const row = getDb().select().from(fonts).where(eq(fonts.hash, hash)).get();
  return row ? { hash, name: row.name, scripts: JSON.parse(row.scripts) as string[] } : null;
}

/**
 * Takes a font in: checked and read; then its bytes are stored, and last the row that says that they are there. The same
 * bytes are stored once. One that is refused leaves nothing behind.
 * @param name the name it came with, for messages
 * @throws Problem 413 too large, 415 not a font, 422 empty or damaged
 */
export async function keepFont(bytes: Buffer, name: string): Promise<ProjectFont> {
  const type = typeOf(bytes, name);
  const hash = hashOf(bytes);
  const already = known(hash);
  if (already && (await hasOriginal(hash, bytes.length))) return already;
  const font = read(bytes, name);
  const kept = { name: nameOf(font, name), scripts: scriptsOf((c) => font.hasGlyphForCodePoint(c)) };
  await storeOriginal(hash, bytes);
  const row = { hash, type, bytes: bytes.length, ...kept, scripts: JSON.stringify(kept.scripts) };
  const createdAt = new Date().toISOString();
  writing((tx) =>
    tx
      .insert(fonts)
      .values({ ...row, createdAt })
      .onConflictDoNothing()
      .run(),
  );
  return { hash, ...kept };
}

/** The bytes of an imported font. @throws Problem 404 */
export async function importedFont(hash: string): Promise<{ bytes: Buffer; type: string }> {
  const row = getDb().select({ type: fonts.type }).from(fonts).where(eq(fonts.hash, hash)).get();
  if (!row) throw notFound('This font');
  return { bytes: await readOriginal(hash), type: row.type };
}
