import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import { inkOf, type Ink } from '@/core/pixels/ink';
import type { Raster } from '@/core/pixels/raster';
import { Statistics, statisticsOf } from '@/core/pixels/statistics';
import { previewWidths, previewWithin } from '@/core/pictures/previews';
import { readOriginal, readPreview } from '../blobs';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { decode, inTurn } from '../pictures/import';
import { notFound } from '../problem';

/** A preview as WebP. @throws Problem 404 when the file or that width of it is not kept */
export async function preview(hash: string, widthPx: number): Promise<Buffer> {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  if (!row || !previewWidths(row.widthPx).includes(widthPx)) throw notFound('This preview');
  return readPreview(hash, widthPx);
}

/** Statistics are of a preview of at most so many pixels. */
const MOST_PIXELS = 2_000_000;

/** The pixels of the largest preview that is not too large. */
async function rasterOf(file: typeof blobs.$inferSelect, mostPixels: number): Promise<Raster> {
  const { data, info } = await sharp(await readPreview(file.hash, previewWithin(file, mostPixels)))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

/** Beyond this a file is not decoded whole once more only to place its ink by a pixel. */
const MOST_REFINED = 25_000_000;

/** Ink that reaches every side cannot reach any further; a preview as large as its file has nothing to add. */
function isWorthRefining(
  { widthPx, heightPx, vector }: typeof blobs.$inferSelect,
  preview: Raster,
  { bounds }: Ink,
): boolean {
  if (vector || widthPx <= preview.width || widthPx * heightPx > MOST_REFINED) return false;
  return bounds.x > 0 || bounds.y > 0 || bounds.x + bounds.width < 1 || bounds.y + bounds.height < 1;
}

/** Where the ink lies in the file itself, in one pass over its pixels. */
const refinedInk = (hash: string, fallback: Ink): Promise<Ink> =>
  inTurn(async () => {
    const { data, info } = await decode(await readOriginal(hash))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return inkOf({ width: info.width, height: info.height, data }) ?? fallback;
  });

/** The pixels from which contrast is told. @throws Problem 404 when the file is not kept */
export async function raster(hash: string): Promise<Raster> {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  if (!row) throw notFound('This file');
  return rasterOf(row, MOST_READ_PIXELS);
}

/** What the pixels of a file say; kept, because they never change. @throws Problem 404 when the file is not kept */
export async function statistics(hash: string): Promise<Statistics> {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  if (!row) throw notFound('This file');
  const kept = row.statistics && Statistics.safeParse(JSON.parse(row.statistics));
  if (kept && kept.success) return kept.data;
  const raster = await rasterOf(row, MOST_PIXELS);
  const found = statisticsOf(raster);
  if (found.ink && isWorthRefining(row, raster, found.ink)) found.ink = await refinedInk(row.hash, found.ink);
  getDb()
    .update(blobs)
    .set({ statistics: JSON.stringify(found) })
    .where(eq(blobs.hash, hash))
    .run();
  return found;
}
