import { buffer } from 'node:stream/consumers';
import { crc32 } from 'node:zlib';
import { open as openZip, type Entry, type ZipFile } from 'yauzl';
import type { Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';

/** What a ZIP may hold. */
export const ARCHIVE_LIMITS = {
  /** of the ZIP itself */
  bytes: 1024 * 1024 * 1024,
  /** of everything in it, unpacked */
  unpackedBytes: 2 * 1024 * 1024 * 1024,
  /** folders with them */
  entries: 5000,
  /** of all documents and sign-offs together, unpacked */
  documentBytes: 256 * 1024 * 1024,
} as const;

export const MB = 1024 * 1024;

/** Makes the refusal of a ZIP from what is wrong with it, a sentence. */
export type Refuse = (why: string) => Problem;

/** Opens a ZIP and reads the list of what is in it. @throws Problem */
async function opened(file: string, refuse: Refuse): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    openZip(
      file,
      { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true },
      (error, zip) => (error ? reject(refuse('it is no ZIP, or it was cut short.')) : resolve(zip)),
    );
  });
}

interface Terms {
  refuse: Refuse;
  /** why a file does not belong into it, by its path; `null` for one that does */
  notThere: (name: string) => string | null;
}

/** Everything in a ZIP by its path. @throws Problem for what does not belong there, or is too much */
async function listed(zip: ZipFile, { refuse, notThere }: Terms): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let unpacked = 0;
  let count = 0;
  await new Promise<void>((resolve, reject) => {
    zip.on('error', () => reject(refuse('its list of files is damaged, or names files outside it.')));
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      const { fileName: name } = entry;
      const why = ((): string | null => {
        if (++count > ARCHIVE_LIMITS.entries) return `it holds more than ${ARCHIVE_LIMITS.entries} files.`;
        if (name.endsWith('/')) return null;
        const stranger = notThere(name);
        if (stranger) return stranger;
        if (entries.has(name)) return `it holds “${name}” twice.`;
        if (entry.isEncrypted()) return `“${name}” is locked by a password.`;
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

/** A ZIP that is open. */
export interface OpenZip {
  /** what is in it, by its path */
  entries: ReadonlyMap<string, Entry>;
  /** one file of it, which is no longer than it says @throws Problem */
  read: (entry: Entry) => Promise<Buffer>;
  close: () => void;
}

/**
 * Opens a ZIP of files, each of which is read when it is asked for. Names that lead out of it, a file that is longer than it says,
 * a password, and more than the limits take, are refused.
 * @param file where it lies @throws Problem as the terms say
 */
export async function openFiles(file: string, terms: Terms): Promise<OpenZip> {
  const zip = await opened(file, terms.refuse);
  try {
    const entries = await listed(zip, terms);
    const read = async (entry: Entry) => {
      try {
        const bytes = await buffer(
          await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
            zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
          ),
        );
        // Nobody else holds it against what was packed.
        if (crc32(bytes) === entry.crc32) return bytes;
      } catch {
        throw terms.refuse(`“${entry.fileName}” is damaged, or is not as large as it says.`);
      }
      throw terms.refuse(`“${entry.fileName}” is damaged: its bytes are not those that were packed.`);
    };
    return { entries, read, close: () => zip.close() };
  } catch (error) {
    zip.close();
    throw error;
  }
}
