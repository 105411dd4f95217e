import { statSync } from 'node:fs';
import path from 'node:path';
import { Problem } from './problem';
import { storeFolder } from './settings';

/** Which file was opened as the database of the store: its place, and what the file system calls it. */
interface Opened {
  file: string;
  ino: bigint;
}
const shared = globalThis as unknown as { couleeOpened?: Opened };

const inoOf = (file: string): bigint | null =>
  statSync(file, { bigint: true, throwIfNoEntry: false })?.ino ?? null;

export const databaseIn = (folder: string) => path.join(folder, 'coulee.db');

/** Remembers the database that this process works with. */
export function rememberStore(file: string): void {
  const ino = inoOf(file);
  if (ino !== null) shared.couleeOpened = { file, ino };
}

/**
 * A file that is deleted or moved while it is open can still be written to, and what is written is gone: so nothing is
 * written unless the database is where it was. @throws Problem 503
 */
export function checkStoreThere(): void {
  const opened = shared.couleeOpened;
  if (!opened || inoOf(opened.file) === opened.ino) return;
  throw new Problem(
    503,
    `The store was moved or deleted while the server was running, so nothing is written. Put its folder back to ${storeFolder()}, or start the server again.`,
    { retryAfter: 5 },
  );
}
