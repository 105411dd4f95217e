import { and, eq, isNotNull, lt } from 'drizzle-orm';
import { readdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { getDb } from '../db/client';
import { blobs, fonts, projects } from '../db/schema';
import { DAY_MS, DAYS_KEPT, HISTORY } from '../services/projects';
import { storeFolder } from '../settings';

const KEEP_DELETED_MS = DAYS_KEPT * DAY_MS;
/** A file that nothing refers to may belong to an import that is still going on. */
const KEEP_UNUSED_MS = DAY_MS;

const before = (ms: number) => new Date(Date.now() - ms).toISOString();

async function filesBelow(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true }).catch(() => []);
  return entries.filter((e) => e.isFile()).map((e) => path.join(e.parentPath, e.name));
}

const HASH = /[0-9a-f]{64}/g;

/** Every hash that a document, a step that can still be taken back, a sign-off or a screenshot may name a file by; read row by row. */
function mentioned(): Set<string> {
  const { $client } = getDb();
  const found = new Set<string>();
  const texts =
    'select body from documents union all select patch from history union all select inverse from history union all select body from sign_offs union all select body from evidence';
  for (const text of $client.prepare<[], string>(texts).pluck().iterate())
    for (const [hash] of text.matchAll(HASH)) found.add(hash);
  return found;
}

/** Lets the oldest steps of each project go, as far as all of them take more room than they may. */
function boundHistory(): void {
  const { $client } = getDb();
  const sizes = $client.prepare<[], { project_id: string; revision: number; bytes: number }>(
    'select project_id, revision, length(patch) + length(inverse) as bytes from history order by project_id, revision desc',
  );
  const kept = new Map<string, { bytes: number; from: number; full: boolean }>();
  for (const { project_id: id, revision, bytes } of sizes.all()) {
    const so = kept.get(id) ?? { bytes: 0, from: revision + 1, full: false };
    const full = so.full || so.bytes + bytes > HISTORY.bytes;
    kept.set(id, full ? { ...so, full } : { bytes: so.bytes + bytes, from: revision, full });
  }
  const forget = $client.prepare('delete from history where project_id = ? and revision < ?');
  for (const [id, { from, full }] of kept) if (full) forget.run(id, from);
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

  boundHistory();
  const named = mentioned();
  const old = db
    .select()
    .from(blobs)
    .where(lt(blobs.createdAt, before(KEEP_UNUSED_MS)))
    .all();
  for (const { hash } of old) {
    if (!named.has(hash)) db.delete(blobs).where(eq(blobs.hash, hash)).run();
  }

  const oldFonts = db
    .select()
    .from(fonts)
    .where(lt(fonts.createdAt, before(KEEP_UNUSED_MS)))
    .all();
  for (const { hash } of oldFonts) {
    if (!named.has(hash)) db.delete(fonts).where(eq(fonts.hash, hash)).run();
  }

  const kept = new Set(
    [
      ...db.select({ hash: blobs.hash }).from(blobs).all(),
      ...db.select({ hash: fonts.hash }).from(fonts).all(),
    ].map((b) => b.hash),
  );
  for (const file of await filesBelow(path.join(storeFolder(), 'results')))
    if (file.endsWith('.part') || (await isOld(file))) await rm(file, { force: true });
  for (const folder of ['pictures', 'previews']) {
    for (const file of await filesBelow(path.join(storeFolder(), folder))) {
      const unknown = !kept.has(path.basename(file).slice(0, 64));
      if (file.endsWith('.part') || (unknown && (await isOld(file)))) await rm(file, { force: true });
    }
  }
}
