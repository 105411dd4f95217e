import { eq } from 'drizzle-orm';
import { KeptFile } from '@/core/pictures/kept-file';
import { previewWidths } from '@/core/pictures/previews';
import { hasOriginal, hasPreview, hashOf, isIntact, storeOriginal, storePreview } from '../blobs';
import { getDb, writing } from '../db/client';
import { blobs } from '../db/schema';
import { drawn, NOBODY, type For } from '../drawing/drawn';
import type { Examined } from '../drawing/examine';
import { DRAWING } from '../drawing/limits';
import { Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { keepPixels } from '../pictures/kept-pixels';
import { sniff, type PictureType } from '../pictures/sniff';

const accepted = 'PNG, JPEG, WebP, AVIF or SVG';

async function typeOf(bytes: Buffer, name: string): Promise<PictureType> {
  if (bytes.length === 0) throw new Problem(422, `“${name}” is empty: it has 0 bytes.`);
  if (bytes.length > INPUT_LIMITS.pictureBytes) throw tooLarge(name);
  const type = await sniff(bytes);
  if (!type) throw new Problem(415, `“${name}” is not a picture that can be read. Use ${accepted}.`);
  return type;
}

export const tooLarge = (name: string) =>
  new Problem(
    413,
    `“${name}” is larger than ${INPUT_LIMITS.pictureBytes / 1024 / 1024} MB, which is the limit.`,
  );

/** Px that a drawing is taken to have before it is looked at, and px for each byte of a file. */
const GUESS = { drawing: 10_000_000, perByte: 4 };

/** What it may cost to look at a file, and for how long. */
export const effortOf = (bytes: Buffer, type: PictureType) =>
  type === 'svg'
    ? {
        cost: GUESS.drawing,
        deadlineMs: DRAWING.deadlineMs,
        wayOut: 'Simplify its filters, or make it smaller.',
      }
    : { cost: bytes.length * GUESS.perByte, deadlineMs: DRAWING.decodeMs };

const examined = (bytes: Buffer, type: PictureType, name: string, asker: For): Promise<Examined> =>
  drawn(
    { kind: 'examine', input: { bytes, type, name }, ...effortOf(bytes, type), name: `“${name}”` },
    asker,
  );

function known(hash: string): KeptFile | null {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  return row ? KeptFile.parse(row) : null;
}

/** Whether everything that belongs to a file lies in the store: its bytes, and its previews. */
export async function isWhole(
  file: Pick<KeptFile, 'hash' | 'bytes' | 'widthPx' | 'heightPx'>,
): Promise<boolean> {
  if (!(await hasOriginal(file.hash, file.bytes))) return false;
  const previews = await Promise.all(previewWidths(file).map((w) => hasPreview(file.hash, w)));
  return previews.every(Boolean);
}

/** Stores the bytes, then the row that says that they are there. */
async function stored(bytes: Buffer, hash: string, type: PictureType, found: Examined): Promise<KeptFile> {
  const { previews, pixels, ...header } = found;
  for (const p of previews) await storePreview(hash, p.widthPx, p.bytes);
  await keepPixels(hash, pixels);
  await storeOriginal(hash, bytes);
  const file = { hash, type, bytes: bytes.length, ...header, vector: type === 'svg' };
  const createdAt = new Date().toISOString();
  writing((tx) =>
    tx
      .insert(blobs)
      .values({ ...file, createdAt })
      .onConflictDoNothing()
      .run(),
  );
  return file;
}

/**
 * Takes a picture file in: checked, decoded, its previews made; then its bytes are stored, and last the row that
 * says that they are there. The same bytes are stored once; where some of them were lost, they are stored again. A file
 * that is refused leaves nothing behind.
 *
 * @param name the name it came with, for messages
 * @throws Problem 413 too large, 415 not a picture, 422 empty, damaged, too many pixels, an SVG that does things or takes
 * too long to draw
 */
export async function keepFile(bytes: Buffer, name: string, asker: For = NOBODY): Promise<KeptFile> {
  const type = await typeOf(bytes, name);
  const hash = hashOf(bytes);
  const already = known(hash);
  if (already && (await isWhole(already)) && (await isIntact(hash))) return already;
  return stored(bytes, hash, type, await examined(bytes, type, name, asker));
}
