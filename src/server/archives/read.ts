import { buffer } from 'node:stream/consumers';
import { open as openZip, type Entry, type ZipFile } from 'yauzl';
import { z } from 'zod';
import { NewerSchema } from '@/core/project/migrate';
import { FolderFault, hashesOf, readFolder, type ReadFolder } from '@/formats/folder';
import { OWN_FOLDERS } from '@/formats/folder-names';
import { hashOf } from '../blobs';
import { describe, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';

/** What an archive may hold. */
export const ARCHIVE_LIMITS = {
  /** of the ZIP itself */
  bytes: 1024 * 1024 * 1024,
  /** of everything in it, unpacked */
  unpackedBytes: 2 * 1024 * 1024 * 1024,
  entries: 5000,
} as const;

/** Why an archive is not taken. */
export const refuse = (why: string) =>
  new Problem(422, `This archive cannot be imported: ${why} Nothing was changed.`);

const MB = 1024 * 1024;

/** Opens a ZIP and reads the list of what is in it. @throws Problem 422 */
async function opened(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    openZip(
      file,
      { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true },
      (error, zip) => (error ? reject(refuse('it is no ZIP, or it was cut short.')) : resolve(zip)),
    );
  });
}

/** The files that a project is made of, and nothing else: no other folder, and none inside these. */
const KNOWN = new RegExp(`^([a-z]+\\.json|(${OWN_FOLDERS.join('|')})/[^/]+)$`);

/** Everything in a ZIP by its path. @throws Problem 422 for what does not belong to a project, or is too much */
async function listed(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let unpacked = 0;
  await new Promise<void>((resolve, reject) => {
    zip.on('error', () => reject(refuse('its list of files is damaged, or names files outside it.')));
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      const { fileName: name } = entry;
      const why = ((): string | null => {
        if (name.endsWith('/')) return null;
        if (!KNOWN.test(name)) return `“${name.slice(0, 80)}” is no file of a project.`;
        if (entries.has(name)) return `it holds “${name}” twice.`;
        if (entry.isEncrypted()) return `“${name}” is locked by a password.`;
        if (entries.size >= ARCHIVE_LIMITS.entries)
          return `it holds more than ${ARCHIVE_LIMITS.entries} files.`;
        if (entry.uncompressedSize > INPUT_LIMITS.pictureBytes)
          return `“${name}” has more than ${INPUT_LIMITS.pictureBytes / MB} MB.`;
        unpacked += entry.uncompressedSize;
        return unpacked > ARCHIVE_LIMITS.unpackedBytes
          ? `it has more than ${ARCHIVE_LIMITS.unpackedBytes / MB} MB once it is unpacked.`
          : null;
      })();
      if (why) return reject(refuse(why));
      if (!name.endsWith('/')) entries.set(name, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
  return entries;
}

/** One file of a ZIP, which is no longer than it says. @throws Problem 422 */
async function bytesOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  try {
    return await buffer(
      await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
        zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
      ),
    );
  } catch {
    throw refuse(`“${entry.fileName}” is damaged, or is not as large as it says.`);
  }
}

/** The documents in a ZIP. @throws Problem 422 in words */
async function documentsIn(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<ReadFolder> {
  const texts = new Map<string, string>();
  for (const [name, entry] of entries) {
    if (!name.endsWith('.json')) continue;
    if (entry.uncompressedSize > INPUT_LIMITS.documentBytes)
      throw refuse(`“${name}” has more than ${INPUT_LIMITS.documentBytes / MB} MB.`);
    texts.set(name, (await bytesOf(zip, entry)).toString('utf8'));
  }
  try {
    return readFolder((name) => texts.get(name) ?? null);
  } catch (error) {
    if (error instanceof z.ZodError) throw refuse(`its documents are damaged: ${describe(error)}`);
    if (error instanceof FolderFault || error instanceof NewerSchema) throw refuse(error.message);
    throw error;
  }
}

/** Reads a file and holds it against its hash. @throws Problem 422 */
async function checked(zip: ZipFile, entries: ReadonlyMap<string, Entry>, place: string, hash: string) {
  const entry = entries.get(place);
  if (!entry) throw refuse(`“${place}” is missing.`);
  const bytes = await bytesOf(zip, entry);
  if (hashOf(bytes) !== hash)
    throw refuse(`“${place}” is not the file that it was: its bytes do not fit its hash.`);
  return bytes;
}

/** A project in a ZIP that was taken along. */
export interface Archive extends ReadFolder {
  /** the bytes of a file, held against its hash @throws Problem 422 */
  read: (hash: string) => Promise<Buffer>;
  close: () => void;
}

/**
 * Opens a ZIP that was taken along, and reads all of it once.
 * @param file where it lies
 * @throws Problem 422 that says what is wrong with it
 */
export async function openArchive(file: string): Promise<Archive> {
  const zip = await opened(file);
  try {
    const entries = await listed(zip);
    const found = await documentsIn(zip, entries);
    const read = (hash: string) => checked(zip, entries, found.places.get(hash)!, hash);
    for (const hash of hashesOf(found.documents)) await read(hash);
    return { ...found, read, close: () => zip.close() };
  } catch (error) {
    zip.close();
    throw error;
  }
}
