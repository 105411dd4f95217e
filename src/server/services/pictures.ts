import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { previewWidths } from '@/core/pictures/previews';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { readPreview, storeOriginal, storePreview } from '../blobs';
import { notFound } from '../problem';
import { INPUT_LIMITS } from '../settings';

export type Blob = typeof blobs.$inferSelect;

export const decode = (bytes: Buffer) =>
  sharp(bytes, { limitInputPixels: INPUT_LIMITS.picturePixels, failOn: 'error' });

/** The pyramid from which browsers draw: once per file, each level made from the one above it. */
async function makePreviews(hash: string, bytes: Buffer, widthPx: number): Promise<void> {
  let source = decode(bytes).autoOrient().toColourspace('srgb');
  for (const width of previewWidths(widthPx).reverse()) {
    const { data, info } = await source
      .resize(width, undefined, { kernel: 'lanczos3' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raw = { width: info.width, height: info.height, channels: info.channels };
    const encoded = await sharp(data, { raw }).webp({ quality: 92, alphaQuality: 100, effort: 3 }).toBuffer();
    await storePreview(hash, width, encoded);
    source = sharp(data, { raw });
  }
}

/** Keeps a picture file: its bytes, its previews, then the row that says it is there. */
export async function keepPicture(bytes: Buffer): Promise<Blob> {
  const meta = await decode(bytes).metadata();
  const { width, height } = meta.autoOrient;
  const hash = await storeOriginal(bytes);
  await makePreviews(hash, bytes, width);
  const row = {
    hash,
    type: meta.format,
    bytes: bytes.length,
    widthPx: width,
    heightPx: height,
    vector: meta.format === 'svg',
    createdAt: new Date().toISOString(),
  };
  getDb().insert(blobs).values(row).onConflictDoNothing().run();
  return row;
}

/** A preview as WebP. @throws Problem 404 when the file or that width of it is not kept */
export async function preview(hash: string, widthPx: number): Promise<Buffer> {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  if (!row || !previewWidths(row.widthPx).includes(widthPx)) throw notFound('This preview');
  return readPreview(hash, widthPx);
}
