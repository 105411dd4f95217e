import { spawnSync } from 'node:child_process';
import { existsSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** Whether a small disk of its own could be put where a folder is. */
export const mountSmall = (folder: string, size: string) =>
  mount('-t', 'tmpfs', '-o', `size=${size}`, 'coulee', folder);

export const mount = (...args: string[]) => spawnSync('mount', args).status === 0;
export const unmount = (folder: string) => spawnSync('umount', ['-l', folder]).status === 0;

/**
 * Fills the disk of a store until nothing more goes on it.
 * @param leaving bytes that are left free
 * @returns a function that makes room again
 */
export function fill(folder: string, leaving = 0): () => void {
  const file = path.join(folder, 'filler');
  for (let size = 1 << 20; size >= 1; size >>= 1) {
    for (;;) {
      const before = existsSync(file) ? statSync(file).size : 0;
      try {
        writeFileSync(file, Buffer.alloc(size), { flag: 'a' });
      } catch {
        break;
      }
      if (statSync(file).size - before < size) break;
    }
  }
  truncateSync(file, statSync(file).size - leaving);
  return () => rmSync(file);
}
