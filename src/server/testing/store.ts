import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { getDb, migrateDb } from '../db/client';
import { sharedDemo } from './shared';

/** A store of its own for the tests of a file, put away afterwards. @param holds what is in it from the beginning */
export function ownStore(holds: 'nothing' | 'the demo' = 'nothing'): { files: () => string[] } {
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-test-'));
  process.env.STORE_DIR = folder;
  beforeAll(async () => {
    if (holds === 'the demo') cpSync(await sharedDemo(), folder, { recursive: true });
    await migrateDb(getDb(), folder);
  });
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
