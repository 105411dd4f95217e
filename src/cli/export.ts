import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { documentFiles, FILE_FOLDERS } from '@/formats/folder';
import { readOriginalNow } from '@/server/blobs';
import { openToRead } from '@/server/db/client';
import { blobs, fonts } from '@/server/db/schema';
import { filesBy } from '@/server/file-host';
import { isProjectFolder } from './folder';
import { Refusal } from './opened';
import { openStored } from './store';

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
  const opened = openStored(store, project);
  try {
    const { documents, revision } = opened;
    const db = openToRead(path.resolve(store));
    const folder = path.resolve(out);
    const files = new Map<string, string | Buffer>(documentFiles(documents, revision));
    for (const hash of filesBy(documents).keys()) {
      const { type } = db.select().from(blobs).where(eq(blobs.hash, hash)).get() ?? { type: 'bin' };
      files.set(`${FILE_FOLDERS.pictures}/${hash}.${type}`, readOriginalNow(hash));
    }
    for (const { hash } of documents.project.fonts ?? []) {
      const { type } = db.select().from(fonts).where(eq(fonts.hash, hash)).get() ?? { type: 'bin' };
      files.set(`${FILE_FOLDERS.fonts}/${hash}.${type}`, readOriginalNow(hash));
    }
    db.$client.close();
    // Everything was read: nothing is taken away for an export that cannot be finished.
    clear(folder);
    for (const [name, body] of files) {
      const file = path.join(folder, name);
      mkdirSync(path.dirname(file), { recursive: true });
      writeFileSync(file, body);
    }
    return files.size;
  } finally {
    opened.close();
  }
}
