import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { previewWithin } from '@/core/pictures/previews';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import { MOST_LOOKED_AT } from '@/core/pixels/statistics';
import type { Documents } from '@/core/project/documents';
import { FILE_FOLDERS, HEADER_FILE, readFolder } from '@/formats/folder';
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

/** Reads files that are named by their hash, whatever their ending. @throws Refusal for one that is missing, or is another one */
function createFiles(folder: string) {
  const names = new Map<string, string>();
  const list = (() => {
    try {
      return readdirSync(folder);
    } catch {
      return [];
    }
  })();
  for (const name of list) names.set(name.slice(0, 64), name);
  return (hash: string): Buffer => {
    const name = names.get(hash);
    if (!name)
      throw new Refusal(
        `${path.join(folder, hash)}… is missing. Export the project again, with all its files.`,
      );
    const file = path.join(folder, name);
    const bytes = readFileSync(file);
    if (hashOf(bytes) !== hash)
      throw new Refusal(
        `${file} is not the file that it was: its bytes do not fit its name. Export the project again.`,
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
function checkAll(documents: Documents, picture: (hash: string) => Buffer, font: (hash: string) => Buffer) {
  for (const hash of filesBy(documents).keys()) picture(hash);
  for (const { hash } of documents.project.fonts ?? []) font(hash);
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
  const { documents, revision } = readFolder((file) => textOf(path.join(folder, file)));
  const picture = createFiles(path.join(folder, FILE_FOLDERS.pictures));
  const font = createFiles(path.join(folder, FILE_FOLDERS.fonts));
  checkAll(documents, picture, font);
  const bytes = bytesFrom(picture, filesBy(documents));
  return {
    documents,
    revision,
    screens: screensOf(documents.project),
    host: fileHost(documents, { bytes, font }),
    bytes: {
      original: bytes.original,
      open: async (hash) => Readable.from([await bytes.original(hash)]),
      font,
    },
    facts: () => factsOf(documents, bytes.original),
    close: () => {},
  };
}
