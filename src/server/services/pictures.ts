import { eq, inArray } from 'drizzle-orm';
import { filesOfProject, type Documents } from '@/core/project/documents';
import type { FileFacts } from '@/formats/files/names';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import type { Raster } from '@/core/pixels/raster';
import { MOST_LOOKED_AT, Statistics } from '@/core/pixels/statistics';
import { previewWidths } from '@/core/pictures/previews';
import { hasPreview, readOriginal, readPreview } from '../blobs';
import { getDb, writing } from '../db/client';
import { blobs, fonts } from '../db/schema';
import { drawn } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { log } from '../log';
import { keepFile } from '../importing/picture';
import { keepPixels, keptPixels, packPixels } from '../pictures/kept-pixels';
import { notFound } from '../problem';

type Row = typeof blobs.$inferSelect;

export function rowOf(hash: string, what = 'This file'): Row {
  const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
  if (!row) throw notFound(what);
  return row;
}

/** A preview as WebP. @throws Problem 404 when the file or that width of it is not kept, 410 when it was lost */
export async function preview(hash: string, widthPx: number): Promise<Buffer> {
  const row = rowOf(hash, 'This preview');
  if (!previewWidths(row).includes(widthPx)) throw notFound('This preview');
  if (!(await hasPreview(hash, widthPx))) await makePreviews(row);
  return readPreview(hash, widthPx);
}

/** Previews can be made again from the file. @throws Problem 410 when that is lost as well */
async function makePreviews({ hash, type }: Row): Promise<void> {
  await keepFile(await readOriginal(hash), `a kept ${type}`);
}

/** What is read of the pixels of a file is asked for by no project: who knows the hash may read it. */
const asked = (file: Row, mostPixels: number, signal?: AbortSignal) =>
  [
    { input: file, cost: mostPixels, deadlineMs: DRAWING.decodeMs, name: 'This file' },
    { project: '', signal },
  ] as const;

/** The pixels from which contrast is told. @throws Problem 404 when the file is not kept */
export async function raster(hash: string, signal?: AbortSignal): Promise<Raster> {
  const [job, asker] = asked(rowOf(hash), MOST_READ_PIXELS, signal);
  return drawn({ kind: 'read', ...job }, asker);
}

/**
 * The same as the core writes it, packed by gzip. It never changes, and is kept since
 * the file was taken in; of one that was taken in earlier it is worked out once.
 * @throws Problem 404 when the file is not kept
 */
export async function packedRaster(hash: string, signal?: AbortSignal): Promise<Buffer> {
  rowOf(hash);
  const kept = await keptPixels(hash);
  if (kept) return kept;
  const bytes = await packPixels(await raster(hash, signal));
  try {
    await keepPixels(hash, bytes);
  } catch (error) {
    // It can be worked out again, also where nothing can be written.
    log.warn(error, 'The pixels of a file could not be kept.');
  }
  return bytes;
}

/** What the pixels of a file say; kept, because they never change. @throws Problem 404 when the file is not kept */
export async function statistics(hash: string): Promise<Statistics> {
  const row = rowOf(hash);
  const kept = row.statistics && Statistics.safeParse(JSON.parse(row.statistics));
  if (kept && kept.success) return kept.data;
  const [job, asker] = asked(row, MOST_LOOKED_AT);
  const found = await drawn({ kind: 'look', ...job }, asker);
  writing((tx) =>
    tx
      .update(blobs)
      .set({ statistics: JSON.stringify(found) })
      .where(eq(blobs.hash, hash))
      .run(),
  );
  return found;
}

/** Of which type and how large the files of a project are, by their hash; those that the store does not know are left out. */
export function fileFacts({ project }: Documents, db = getDb()): FileFacts {
  const hashes = filesOfProject(project);
  const rows = hashes.length === 0 ? [] : db.select().from(blobs).where(inArray(blobs.hash, hashes)).all();
  return Object.fromEntries(rows.map(({ hash, type, bytes }) => [hash, { type, bytes }]));
}

/** The same of its imported fonts; the type is the ending that such files have. */
export function fontFacts({ project }: Documents, db = getDb()): FileFacts {
  const hashes = (project.fonts ?? []).map((f) => f.hash);
  const rows = hashes.length === 0 ? [] : db.select().from(fonts).where(inArray(fonts.hash, hashes)).all();
  return Object.fromEntries(
    rows.map(({ hash, type, bytes }) => [hash, { type: type.replace('font/', ''), bytes }]),
  );
}
