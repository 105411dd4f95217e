import { Problem } from './problem';

/** What the disk or the database says when the store cannot be used, by its code; what to do about it, in words. */
const WORDS: readonly (readonly [codes: readonly string[], status: number, words: string])[] = [
  [
    ['SQLITE_FULL', 'ENOSPC', 'EDQUOT'],
    507,
    'The disk of the store is full. Make room on it: nothing was changed, and saving goes on by itself.',
  ],
  [
    ['SQLITE_READONLY', 'EROFS', 'EACCES', 'EPERM'],
    503,
    'The store cannot be written to. Give the server the right to write into its folder.',
  ],
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
const fieldOf = (error: unknown, key: 'code' | 'cause'): unknown =>
  typeof error === 'object' && error !== null && key in error
    ? (error as Record<string, unknown>)[key]
    : undefined;

/** What a fault of the store is, in words with a way out; `null` for an error that has nothing to do with it. */
export function storeFault(error: unknown): Problem | null {
  const code = String(fieldOf(error, 'code') ?? fieldOf(fieldOf(error, 'cause'), 'code') ?? '');
  // Codes of the database may be narrower than the ones that are named: SQLITE_IOERR_WRITE.
  const found = WORDS.find(([codes]) => codes.some((c) => code === c || code.startsWith(`${c}_`)));
  return found ? new Problem(found[1], found[2]) : null;
}
