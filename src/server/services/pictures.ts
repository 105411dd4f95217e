import { eq } from 'drizzle-orm';
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
