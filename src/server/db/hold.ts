import { sayTime } from '@/core/words/words';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { z } from 'zod';
import { Problem } from '../problem';

const Holder = z.object({ process: z.int(), address: z.string(), since: z.iso.datetime() });

/** Who holds a store, as it was written down when it was taken. */
function holderOf(file: string): string {
  try {
    const { process, address, since } = Holder.parse(JSON.parse(readFileSync(file, 'utf8')));
    return `${address}, process ${process}, since ${sayTime(since)}`;
  } catch {
    return 'one that did not say which';
  }
}

/** Whether a database says that somebody else holds it. */
export const isLocked = (error: unknown) =>
  String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY');

/**
 * Takes a store for one server. The system itself gives it back when the process ends, however it ends: it is a lock on a
 * file of its own, beside the database, so that others may still read.
 * @param address under which this server answers, for whoever finds it taken
 * @returns a function that gives it back
 * @throws Problem 503 that says who holds it
 */
export function holdStore(folder: string, address: string): () => void {
  mkdirSync(folder, { recursive: true });
  const said = path.join(folder, 'server.json');
  const lock = new Database(path.join(folder, 'server.lock'), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (!isLocked(error)) throw error;
    throw new Problem(
      503,
      `The store in ${folder} is in use by another server: ${holderOf(said)}. End that one first, or give this one a folder of its own: STORE_DIR=… npm start`,
    );
  }
  const since = new Date().toISOString();
  writeFileSync(said, JSON.stringify({ process: process.pid, address, since }));
  return () => lock.close();
}
