import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { documentFiles, OWN_FOLDERS } from '@/formats/folder';
import { placesByName } from '@/formats/places';
import { readOriginalNow } from '@/server/blobs';
import { fileFacts, fontFacts } from '@/server/services/pictures';
import { isProjectFolder } from './folder';
import { Refusal } from './opened';
import { readStored } from './store';

/** @throws Refusal for a folder that holds something else */
function clear(folder: string): void {
  if (existsSync(folder) && readdirSync(folder).length > 0 && !isProjectFolder(folder))
    throw new Refusal(`${folder} holds something else. Name a folder that is empty, or not there yet.`);
  for (const own of OWN_FOLDERS) rmSync(path.join(folder, own), { recursive: true, force: true });
}

/**
 * Writes a project of a store into a folder: its documents as JSON, its files beside them.
 * @returns how many files were written
 * @throws Refusal; the fault of the disk, or of a file that the store has lost
 */
export function exportProject(store: string, project: string | undefined, out: string): number {
  const { db, documents, revision } = readStored(store, project);
  try {
    const places = placesByName(documents, { ...fileFacts(documents, db), ...fontFacts(documents, db) });
    const files = new Map<string, string | Buffer>(documentFiles(documents, revision, places));
    for (const [hash, place] of places) files.set(place, readOriginalNow(hash));
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
