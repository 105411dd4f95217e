import { accessSync, constants } from 'node:fs';
import path from 'node:path';
import { Problem } from './problem';
import { productFolder, storeFolder } from './settings';

/** What the disk or the database says when the store cannot be used, by its code; what to do about it, in words. */
type Said = readonly [codes: readonly string[], status: number, words: string];

const READ_ONLY: Said = [
  ['SQLITE_READONLY', 'EROFS', 'EACCES', 'EPERM'],
  503,
  'The store cannot be written to. Give the server the right to write into its folder.',
];

const WORDS: readonly Said[] = [
  [
    ['SQLITE_FULL', 'ENOSPC', 'EDQUOT'],
    507,
    'The disk of the store is full. Make room on it: nothing was changed, and saving goes on by itself.',
  ],
  READ_ONLY,
  [
    ['SQLITE_BUSY', 'SQLITE_LOCKED'],
    503,
    'The store is locked by another program. It is tried again; if it stays so, end the other program.',
  ],
  [
    ['SQLITE_CANTOPEN', 'SQLITE_IOERR', 'SQLITE_CORRUPT', 'SQLITE_NOTADB', 'ENOENT', 'EIO'],
    503,
    'The store is not there, or cannot be read. Bring its folder back to its place, and start the server again.',
  ],
];

/** A field of an error; errors of the file system may come from elsewhere, so that they are none of ours. */
const fieldOf = (error: unknown, key: 'code' | 'cause' | 'path'): unknown =>
  typeof error === 'object' && error !== null && key in error
    ? (error as Record<string, unknown>)[key]
    : undefined;

const isWithin = (file: string, folder: string) => !path.relative(folder, file).startsWith('..');

/** Whether a fault is of a file that belongs to the product and not to its store: that is a fault of the installation. */
function isOfProduct(error: unknown): boolean {
  const file = fieldOf(error, 'path') ?? fieldOf(fieldOf(error, 'cause'), 'path');
  if (typeof file !== 'string') return false;
  return isWithin(path.resolve(file), productFolder()) && !isWithin(path.resolve(file), storeFolder());
}

/** Whether the folder of the store is there and may not be written into, which a database says in other words. */
function isReadOnly(): boolean {
  try {
    accessSync(storeFolder(), constants.W_OK);
    return false;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code !== 'ENOENT';
  }
}

/** What a fault of the store is, in words with a way out; `null` for an error that has nothing to do with it. */
export function storeFault(error: unknown): Problem | null {
  const code = String(fieldOf(error, 'code') ?? fieldOf(fieldOf(error, 'cause'), 'code') ?? '');
  // Codes of the database may be narrower than the ones that are named: SQLITE_IOERR_WRITE.
  const found = WORDS.find(([codes]) => codes.some((c) => code === c || code.startsWith(`${c}_`)));
  if (!found || isOfProduct(error)) return null;
  const [, status, words] = code.startsWith('SQLITE_CANTOPEN') && isReadOnly() ? READ_ONLY : found;
  return new Problem(status, words);
}
