import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { documentFiles, FILE_FOLDERS } from '@/formats/folder';
import { readOriginalNow } from '@/server/blobs';
import { blobs, fonts } from '@/server/db/schema';
import { filesBy } from '@/server/file-host';
import { isProjectFolder } from './folder';
import { Refusal } from './opened';
import { readStored } from './store';

/** What of an earlier export is taken away before a folder is written anew. */
const OWN = ['scenes', ...Object.values(FILE_FOLDERS)];

/** @throws Refusal for a folder that holds something else */
function clear(folder: string): void {
  if (existsSync(folder) && readdirSync(folder).length > 0 && !isProjectFolder(folder))
    throw new Refusal(`${folder} holds something else. Name a folder that is empty, or not there yet.`);
  for (const own of OWN) rmSync(path.join(folder, own), { recursive: true, force: true });
}

/**
 * Writes a project of a store into a folder: its documents as JSON, its files beside them.
 * @returns how many files were written
 * @throws Refusal; the fault of the disk, or of a file that the store has lost
 */
export function exportProject(store: string, project: string | undefined, out: string): number {
  const { db, documents, revision } = readStored(store, project);
  try {
    const files = new Map<string, string | Buffer>(documentFiles(documents, revision));
    const add = (place: string, hash: string, row: { type: string } | undefined) =>
      files.set(`${place}/${hash}.${row?.type ?? 'bin'}`, readOriginalNow(hash));
    for (const hash of filesBy(documents).keys())
      add(FILE_FOLDERS.pictures, hash, db.select().from(blobs).where(eq(blobs.hash, hash)).get());
    for (const { hash } of documents.project.fonts ?? [])
      add(FILE_FOLDERS.fonts, hash, db.select().from(fonts).where(eq(fonts.hash, hash)).get());
    const folder = path.resolve(out);
    // Everything was read: nothing is taken away for an export that cannot be finished.
    clear(folder);
    for (const [name, body] of files) {
      const file = path.join(folder, name);
      mkdirSync(path.dirname(file), { recursive: true });
      writeFileSync(file, body);
    }
    return files.size;
  } finally {
    db.$client.close();
  }
}
