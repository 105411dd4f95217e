import { readFileSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { previewWithin } from '@/core/pictures/previews';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import { MOST_LOOKED_AT } from '@/core/pixels/statistics';
import type { Documents } from '@/core/project/documents';
import { hashesOf, HEADER_FILE, readFolder } from '@/formats/folder';
import type { FileFacts } from '@/formats/files/names';
import { hashOf } from '@/server/blobs';
import { sniff } from '@/server/pictures/sniff';
import { screensOf } from '@/server/catalogue';
import { pyramid } from '@/server/drawing/examine';
import type { FileBytes, ToRead } from '@/server/drawing/read';
import { fileHost, filesBy } from '@/server/file-host';
import { Refusal, type Opened } from './opened';

/** The text of a file, or `null` where there is none. */
function textOf(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

/** Reads files by their hash, from where the folder says that they lie. @throws Refusal for one that is missing, or is another one */
function createFiles(folder: string, places: ReadonlyMap<string, string>) {
  return (hash: string): Buffer => {
    const file = path.join(folder, places.get(hash) ?? hash);
    // What lies elsewhere is nobody's business.
    if (path.relative(folder, file).startsWith('..'))
      throw new Refusal(`${places.get(hash)} lies outside of the folder. Export the project again.`);
    let bytes: Buffer;
    try {
      bytes = readFileSync(file);
    } catch {
      throw new Refusal(`${file} is missing. Export the project again, with all its files.`);
    }
    if (hashOf(bytes) !== hash)
      throw new Refusal(
        `${file} is not the file that it was: its bytes do not fit its hash. Export the project again.`,
      );
    return bytes;
  };
}

/** Previews are made from the files when they are asked for: those that a review reads, all of a file at once. */
function bytesFrom(read: (hash: string) => Buffer, files: ReadonlyMap<string, ToRead>): FileBytes {
  const made = new Map<string, Map<number, Buffer>>();
  const original = (hash: string) => Promise.resolve(read(hash));
  const preview: FileBytes['preview'] = async (hash, widthPx) => {
    const known = made.get(hash);
    if (known) return known.get(widthPx)!;
    const file = files.get(hash)!;
    const wanted = [MOST_READ_PIXELS, MOST_LOOKED_AT].map((most) => previewWithin(file, most));
    const { previews } = await pyramid(await original(hash), file, (w) => wanted.includes(w));
    const own = new Map(previews.map((p) => [p.widthPx, p.bytes]));
    made.set(hash, own);
    return own.get(widthPx)!;
  };
  return { original, preview };
}

/** What every picture of the documents is drawn from has to be there. */
function checkAll(documents: Documents, file: (hash: string) => Buffer) {
  for (const hash of hashesOf(documents)) file(hash);
}

/** Of which type and how large the files are: what they are is in their first bytes. */
async function factsOf(documents: Documents, original: FileBytes['original']): Promise<FileFacts> {
  const facts: FileFacts = {};
  for (const hash of filesBy(documents).keys()) {
    const bytes = await original(hash);
    facts[hash] = { type: (await sniff(bytes)) ?? 'bin', bytes: bytes.length };
  }
  return facts;
}

/** Whether a folder is one that `coulee export` has written. */
export const isProjectFolder = (folder: string): boolean => textOf(path.join(folder, HEADER_FILE)) !== null;

/**
 * A project in a folder of its own.
 * @throws Refusal, FolderFault, NewerSchema, ZodError
 */
export function openFolder(place: string): Opened {
  const folder = path.resolve(place);
  if (!isProjectFolder(folder))
    throw new Refusal(
      `There is no project in ${folder}: it has no ${HEADER_FILE}. Write one: coulee export --store DIR --project NAME --out ${place}`,
    );
  const { documents, revision, places } = readFolder((file) => textOf(path.join(folder, file)));
  const file = createFiles(folder, places);
  checkAll(documents, file);
  const bytes = bytesFrom(file, filesBy(documents));
  return {
    documents,
    revision,
    screens: screensOf(documents.project),
    host: fileHost(documents, { bytes, font: file }),
    bytes: {
      original: bytes.original,
      open: async (hash) => Readable.from([await bytes.original(hash)]),
      font: file,
    },
    facts: () => factsOf(documents, bytes.original),
    close: () => {},
  };
}
