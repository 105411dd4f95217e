import { createHash } from 'node:crypto';
import { constants, readFileSync } from 'node:fs';
import { access, mkdir, open, readFile, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { storeFolder } from './settings';

export const hashOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

const exists = (file: string) =>
  access(file, constants.R_OK).then(
    () => true,
    () => false,
  );

/** Makes the entries of a folder survive a loss of power. */
async function syncFolder(folder: string) {
  const handle = await open(folder, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/**
 * Writes a file so that its name never shows half of it: a temporary name, fsync, rename. A file that is already
 * there under a name made from its content is left alone.
 */
async function writeWhole(file: string, bytes: Buffer): Promise<void> {
  if (await exists(file)) return;
  const folder = path.dirname(file);
  await mkdir(folder, { recursive: true });
  const temporary = `${file}.${process.pid}.${Math.random().toString(36).slice(2)}.part`;
  try {
    const handle = await open(temporary, 'wx');
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(temporary, file);
    await syncFolder(folder);
  } catch (error) {
    await rm(temporary, { force: true });
    throw error;
  }
}

const originalFile = (hash: string) => path.join(storeFolder(), 'pictures', hash.slice(0, 2), hash);
const previewFile = (hash: string, widthPx: number) =>
  path.join(storeFolder(), 'previews', hash.slice(0, 2), `${hash}-${widthPx}.webp`);

/** Stores bytes under their hash, which the caller has; the same bytes are stored once. */
export const storeOriginal = (hash: string, bytes: Buffer) => writeWhole(originalFile(hash), bytes);

export const readOriginal = (hash: string): Promise<Buffer> => readFile(originalFile(hash));

/** For what cannot wait, such as a transaction. */
export const readOriginalNow = (hash: string): Buffer => readFileSync(originalFile(hash));

export const storePreview = (hash: string, widthPx: number, bytes: Buffer) =>
  writeWhole(previewFile(hash, widthPx), bytes);

export const readPreview = (hash: string, widthPx: number): Promise<Buffer> =>
  readFile(previewFile(hash, widthPx));
