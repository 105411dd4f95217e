import { and, eq, isNotNull, lt } from 'drizzle-orm';
import { readdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { getDb } from './db/client';
import { blobs, documents, fonts, history, projects } from './db/schema';
import { DAY_MS, DAYS_KEPT } from './services/projects';
import { storeFolder } from './settings';

const KEEP_DELETED_MS = DAYS_KEPT * DAY_MS;
/** A file that nothing refers to may belong to an import that is still going on. */
const KEEP_UNUSED_MS = DAY_MS;

const before = (ms: number) => new Date(Date.now() - ms).toISOString();

async function filesBelow(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true }).catch(() => []);
  return entries.filter((e) => e.isFile()).map((e) => path.join(e.parentPath, e.name));
}

/** Every text in which a document, or a step that can still be taken back, may name a file. */
function mentions(): string {
  const db = getDb();
  const bodies = db.select({ text: documents.body }).from(documents).all();
  const steps = db.select({ patch: history.patch, inverse: history.inverse }).from(history).all();
  return [...bodies.map((b) => b.text), ...steps.map((s) => s.patch + s.inverse)].join('\n');
}

/** Whether a file has lain there longer than any import takes. */
const isOld = async (file: string) => (await stat(file)).mtimeMs < Date.now() - KEEP_UNUSED_MS;

/**
 * Puts away what nothing refers to any more: projects deleted long ago, rows of files that no document names, bytes
 * without a row, half-written files. Run while nothing else writes, before the server starts.
 */
export async function sweep(): Promise<void> {
  const db = getDb();
  const expired = lt(projects.deletedAt, before(KEEP_DELETED_MS));
  db.delete(projects)
    .where(and(isNotNull(projects.deletedAt), expired))
    .run();

  const named = mentions();
  const old = db
    .select()
    .from(blobs)
    .where(lt(blobs.createdAt, before(KEEP_UNUSED_MS)))
    .all();
  for (const { hash } of old) {
    if (!named.includes(hash)) db.delete(blobs).where(eq(blobs.hash, hash)).run();
  }

  const oldFonts = db
    .select()
    .from(fonts)
    .where(lt(fonts.createdAt, before(KEEP_UNUSED_MS)))
    .all();
  for (const { hash } of oldFonts) {
    if (!named.includes(hash)) db.delete(fonts).where(eq(fonts.hash, hash)).run();
  }

  const kept = new Set(
    [
      ...db.select({ hash: blobs.hash }).from(blobs).all(),
      ...db.select({ hash: fonts.hash }).from(fonts).all(),
    ].map((b) => b.hash),
  );
  for (const folder of ['pictures', 'previews']) {
    for (const file of await filesBelow(path.join(storeFolder(), folder))) {
      const unknown = !kept.has(path.basename(file).slice(0, 64));
      if (file.endsWith('.part') || (unknown && (await isOld(file)))) await rm(file, { force: true });
    }
  }
}
