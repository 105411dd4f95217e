import { createHash } from 'node:crypto';
import { createWriteStream, existsSync, readFileSync } from 'node:fs';
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { noteDamage, noteWhole } from './damage';
import { checkStoreThere } from './there';
import { Problem } from './problem';
import { storeFolder } from './settings';

export const hashOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

/** The length of a file, or `null` when it is not there. */
const lengthOf = (file: string): Promise<number | null> =>
  stat(file).then(
    (s) => s.size,
    (error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return null;
      throw error;
    },
  );

/** A file that the store should hold and does not: 410, so that the page can say which. */
const lost = (hash: string) =>
  new Problem(
    410,
    `The bytes of the file ${hash.slice(0, 12)}… are missing from the store. Import the file again: it is then put back.`,
    { lost: hash },
  );

/** A file of the store whose bytes are other ones than they were: 410 as well, as the same puts it back. */
function damaged(hash: string): Problem {
  noteDamage(hash);
  return new Problem(
    410,
    `The bytes of the file ${hash.slice(0, 12)}… in the store are not those that were stored: the disk has changed them. Import the file again: it is then put back.`,
    { lost: hash },
  );
}

/** Makes the entries of a folder survive a loss of power. */
async function syncFolder(folder: string) {
  const handle = await open(folder, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** Whether a file holds these bytes. */
async function holds(file: string, bytes: Buffer): Promise<boolean> {
  if ((await lengthOf(file)) !== bytes.length) return false;
  return bytes.equals(await readFile(file));
}

/**
 * Writes a file so that its name never shows half of it: a temporary name, fsync, rename. A file that already holds the
 * very same bytes is left alone.
 */
async function writeWhole(file: string, bytes: Buffer): Promise<void> {
  checkStoreThere();
  if (await holds(file, bytes)) return;
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
const resultFile = (hash: string) => path.join(storeFolder(), 'results', hash.slice(0, 2), hash);
const previewFile = (hash: string, widthPx: number) =>
  path.join(storeFolder(), 'previews', hash.slice(0, 2), `${hash}-${widthPx}.webp`);

/** What was worked out of a file lies beside its previews, its own digest before it. */
const derivedFile = (hash: string, what: string) =>
  path.join(storeFolder(), 'previews', hash.slice(0, 2), `${hash}-${what}`);
const DIGEST_BYTES = 32;
const digestOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest();

/** Keeps what was worked out of a file. @param what it is, with its version: what is of another one is not used */
export const storeDerived = (hash: string, what: string, bytes: Buffer): Promise<void> =>
  writeWhole(derivedFile(hash, what), Buffer.concat([digestOf(bytes), bytes]));

/** What was worked out of a file and kept; `null` where it is not there, or is not as it was kept. */
export async function readDerived(hash: string, what: string): Promise<Buffer | null> {
  let kept: Buffer;
  try {
    kept = await readFile(derivedFile(hash, what));
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
  const bytes = kept.subarray(DIGEST_BYTES);
  return digestOf(bytes).equals(kept.subarray(0, DIGEST_BYTES)) ? bytes : null;
}

/** Stores bytes under their hash, which the caller has; the same bytes are stored once. */
export async function storeOriginal(hash: string, bytes: Buffer): Promise<void> {
  await writeWhole(originalFile(hash), bytes);
  noteWhole(hash);
}

/** Whether the bytes of a file are there, as many as there should be. */
export const hasOriginal = async (hash: string, length: number) =>
  (await lengthOf(originalFile(hash))) === length;

export const hasPreview = async (hash: string, widthPx: number) =>
  ((await lengthOf(previewFile(hash, widthPx))) ?? 0) > 0;

/** Whether the bytes under a hash are still those that it was made from. @throws Problem 410 when they are missing */
export async function isIntact(hash: string): Promise<boolean> {
  const is = hashOf(await readKept(originalFile(hash), hash)) === hash;
  if (is) noteWhole(hash);
  else noteDamage(hash);
  return is;
}

/** A file of the store. @throws Problem 410 when it is missing while the store itself is there */
async function readKept(file: string, hash: string): Promise<Buffer> {
  try {
    return await readFile(file);
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT' && existsSync(storeFolder());
    throw missing ? lost(hash) : error;
  }
}

/** Bytes held against the hash that they are stored under. @throws Problem 410 */
function asStored(bytes: Buffer, hash: string): Buffer {
  if (hashOf(bytes) !== hash) throw damaged(hash);
  return bytes;
}

/** The bytes of a file, as they were stored. @throws Problem 410 when they are missing, or are other ones */
export const readOriginal = async (hash: string): Promise<Buffer> =>
  asStored(await readKept(originalFile(hash), hash), hash);

/** For what cannot wait, such as a transaction. @throws Problem 410 when they are other ones */
export const readOriginalNow = (hash: string): Buffer => asStored(readFileSync(originalFile(hash)), hash);

/** Bytes as they come, held against the hash that they are stored under once all have come. */
async function* heldAgainst(stream: Readable, hash: string): AsyncGenerator<Buffer> {
  const digest = createHash('sha256');
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    digest.update(chunk);
    yield chunk;
  }
  if (digest.digest('hex') !== hash) throw damaged(hash);
}

/**
 * A file of the store, to be read bit by bit; it ends with a Problem 410 when its bytes were other ones than were stored.
 * @throws Problem 410 when it is missing while the store itself is there
 */
export async function openOriginal(hash: string): Promise<Readable> {
  let stream: Readable;
  try {
    stream = (await open(originalFile(hash))).createReadStream();
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT' && existsSync(storeFolder());
    throw missing ? lost(hash) : error;
  }
  // It begins when it is read: a fault that comes before somebody listens would be heard by nobody.
  const held = Readable.from(heldAgainst(stream, hash), { objectMode: false });
  held.once('close', () => stream.destroy());
  return held;
}

/** Where something lies for as long as it is not whole, or not needed longer. */
async function partFile(): Promise<string> {
  checkStoreThere();
  const folder = path.join(storeFolder(), 'results');
  await mkdir(folder, { recursive: true });
  return path.join(folder, `${process.pid}.${Math.random().toString(36).slice(2)}.part`);
}

/**
 * Keeps what a job makes, for a while, as it comes: it never lies in memory whole, and half of it is never left behind.
 * @param signal ends it
 */
export async function keepResult(
  made: Readable,
  signal?: AbortSignal,
): Promise<{ hash: string; bytes: number }> {
  const temporary = await partFile();
  const digest = createHash('sha256');
  let bytes = 0;
  const counted = async function* (chunks: AsyncIterable<Buffer>) {
    for await (const chunk of chunks) {
      digest.update(chunk);
      bytes += chunk.length;
      yield chunk;
    }
  };
  try {
    await pipeline(made, counted, createWriteStream(temporary, { flags: 'wx', flush: true }), { signal });
    const hash = digest.digest('hex');
    await mkdir(path.dirname(resultFile(hash)), { recursive: true });
    await rename(temporary, resultFile(hash));
    return { hash, bytes };
  } catch (error) {
    await rm(temporary, { force: true });
    throw error;
  }
}

/**
 * A file that comes in, on the disk for as long as something is done with it.
 * @param most bytes @param tooLarge the problem for more of them
 */
export async function whileOnDisk<T>(
  incoming: Readable,
  most: number,
  tooLarge: () => Problem,
  work: (file: string) => Promise<T>,
): Promise<T> {
  const file = await partFile();
  let bytes = 0;
  const bounded = async function* (chunks: AsyncIterable<Buffer>) {
    for await (const chunk of chunks) {
      bytes += chunk.length;
      if (bytes > most) throw tooLarge();
      yield chunk;
    }
  };
  try {
    await pipeline(incoming, bounded, createWriteStream(file, { flags: 'wx' }));
    return await work(file);
  } finally {
    await rm(file, { force: true });
  }
}

/** What a job has made, to be read bit by bit; `null` once it has gone. */
export async function openResult(hash: string): Promise<Readable | null> {
  try {
    return (await open(resultFile(hash))).createReadStream();
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

export const removeResult = (hash: string): Promise<void> => rm(resultFile(hash), { force: true });

export const storePreview = (hash: string, widthPx: number, bytes: Buffer) =>
  writeWhole(previewFile(hash, widthPx), bytes);

export const readPreview = (hash: string, widthPx: number): Promise<Buffer> =>
  readKept(previewFile(hash, widthPx), hash);
