import { eq } from 'drizzle-orm';
import type { ProjectFont } from '@/core/text/style';
import { hasOriginal, hashOf, isIntact, readOriginal, storeOriginal } from '../blobs';
import { getDb, writing } from '../db/client';
import { fonts } from '../db/schema';
import { drawn, NOBODY, type For } from '../drawing/drawn';
import { notFound, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { megabytes } from '../fonts/read';

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

export const fontTooLarge = (name: string) =>
  new Problem(413, `“${name}” is larger than ${megabytes} MB, which is the limit.`);

function typeOf(bytes: Buffer, name: string): string {
  if (bytes.length === 0) throw new Problem(422, `“${name}” is empty: it has 0 bytes.`);
  if (bytes.length > INPUT_LIMITS.fontBytes) throw fontTooLarge(name);
  const type = fontTypeOf(bytes);
  if (!type)
    throw new Problem(415, `“${name}” is not a font that can be read. Use ${ACCEPTED}, one font a file.`);
  return type;
}

function known(hash: string): ProjectFont | null {
  const row = getDb().select().from(fonts).where(eq(fonts.hash, hash)).get();
  return row ? { hash, name: row.name, scripts: JSON.parse(row.scripts) as string[] } : null;
}

/**
 * Takes a font in: checked and read; then its bytes are stored, and last the row that says that they are there. The same
 * bytes are stored once. One that is refused leaves nothing behind.
 * @param name the name it came with, for messages
 * @throws Problem 413 too large, 415 not a font, 422 empty, damaged, or one that takes too long to read
 */
export async function keepFont(bytes: Buffer, name: string, asker: For = NOBODY): Promise<ProjectFont> {
  const type = typeOf(bytes, name);
  const hash = hashOf(bytes);
  const already = known(hash);
  if (already && (await hasOriginal(hash, bytes.length)) && (await isIntact(hash))) return already;
  const kept = await drawn(
    {
      kind: 'examineFont',
      input: { bytes, name },
      cost: bytes.length,
      name: `“${name}”`,
      wayOut: 'Export it again.',
    },
    asker,
  );
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
