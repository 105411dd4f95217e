import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { getDb, migrateDb } from '../db/client';

/** A store of its own for the tests of a file, put away afterwards. */
export function ownStore(): { files: () => string[] } {
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-test-'));
  process.env.STORE_DIR = folder;
  beforeAll(() => migrateDb(getDb(), folder));
  afterAll(() => {
    getDb().$client.close();
    rmSync(folder, { recursive: true, force: true });
  });
  return {
    /** names of all files of pictures and previews */
    files: () =>
      readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((e) => e.isFile() && !e.name.startsWith('coulee.db'))
        .map((e) => e.name),
  };
}
