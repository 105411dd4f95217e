import { shared } from './process-wide';

const damaged = shared('damaged', () => new Set<string>());

/** Takes note of a file whose bytes are not those that were stored: pages of projects that show it say so. */
export const noteDamage = (hash: string): void => void damaged().add(hash);

/** Takes note of a file whose bytes are as they were again. */
export const noteWhole = (hash: string): void => void damaged().delete(hash);

/** Whether the bytes of a file were found to be other ones, since the server began, and were not put back. */
export const isDamaged = (hash: string): boolean => damaged().has(hash);
