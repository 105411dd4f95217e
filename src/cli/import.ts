import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { getDb, migrateDb } from '@/server/db/client';
import { holdStore } from '@/server/db/hold';
import { Problem } from '@/server/problem';
import { importArchive } from '@/server/services/archive';
import type { StoredProject } from '@/server/services/projects';
import { isFile } from './asked';
import type { Io } from './check';
import { toArchive } from './export';
import { openFolder } from './folder';
import { Refusal } from './opened';

/** @throws Refusal where a server has the store */
function hold(store: string): () => void {
  try {
    return holdStore(store, 'coulee import');
  } catch (error) {
    if (!(error instanceof Problem && error.status === 503)) throw error;
    throw new Refusal(
      `The store in ${store} is in use by a server. Open the archive on its start page, or end that server first.`,
    );
  }
}

/** A folder is taken in as the archive that it would be. */
async function takenFromFolder(folder: string): Promise<StoredProject> {
  const passing = mkdtempSync(path.join(tmpdir(), 'coulee-import-'));
  try {
    const file = path.join(passing, 'project.zip');
    await toArchive(openFolder(folder), file);
    return await importArchive(file);
  } finally {
    rmSync(passing, { recursive: true, force: true });
  }
}

/**
 * Takes a project into a store, from an archive or a folder. Beside the same project it becomes a copy.
 * @throws Refusal; Problem that says what is wrong with it: nothing of it is then there
 */
export async function importProject(place: string, store: string, io: Io): Promise<void> {
  const folder = path.resolve(store);
  process.env.STORE_DIR = folder;
  const giveBack = hold(folder);
  try {
    await migrateDb(getDb(), folder);
    const { documents } = await (isFile(place) ? importArchive(place) : takenFromFolder(place));
    const { id, name } = documents.project;
    io.out(`“${name}” was imported as ${id}.\n`);
  } finally {
    getDb().$client.close();
    giveBack();
  }
}
