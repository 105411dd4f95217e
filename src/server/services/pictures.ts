import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import type { Raster } from '@/core/pixels/raster';
import { Statistics, statisticsOf } from '@/core/pixels/statistics';
import { previewWidths } from '@/core/pictures/previews';
import { readPreview } from '../blobs';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
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
async function rasterOf(
  { hash, widthPx, heightPx }: typeof blobs.$inferSelect,
  mostPixels: number,
): Promise<Raster> {
  const fits = (width: number) => width * Math.ceil((width * heightPx) / widthPx) <= mostPixels;
  const widths = previewWidths(widthPx);
  const { data, info } = await sharp(await readPreview(hash, widths.findLast(fits) ?? widths[0]!))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

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
  const found = statisticsOf(await rasterOf(row, MOST_PIXELS));
  getDb()
    .update(blobs)
    .set({ statistics: JSON.stringify(found) })
    .where(eq(blobs.hash, hash))
    .run();
  return found;
}
