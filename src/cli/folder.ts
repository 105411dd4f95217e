import { readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { hashesOf, readFolder, type ReadFolder } from '@/formats/folder';
import { HEADER_FILE } from '@/formats/folder-names';
import { hashOf } from '@/server/blobs';
import { Refusal, type Opened } from './opened';
import { openedFrom } from './opened-from';

/** @throws Refusal for what is no file, such as a pipe, which would be waited for */
function bytesOf(file: string): Buffer {
  if (!statSync(file).isFile()) throw new Refusal(`${file} is no file. Export the project again.`);
  return readFileSync(file);
}

/** The text of a file, or `null` where there is none. */
function textOf(file: string): string | null {
  try {
    return bytesOf(file).toString('utf8');
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
      throw new Refusal(`${places.get(hash)} lies outside the folder. Export the project again.`);
    let bytes: Buffer;
    try {
      bytes = bytesOf(file);
    } catch (error) {
      if (error instanceof Refusal) throw error;
      throw new Refusal(`${file} is missing. Export the project again, with all its files.`);
    }
    if (hashOf(bytes) !== hash)
      throw new Refusal(
        `${file} is not the file that it was: its bytes do not fit its hash. Export the project again.`,
      );
    return bytes;
  };
}

/** What every picture of documents and sign-offs is drawn from has to be there. */
function checkAll({ documents, signOffs }: ReadFolder, file: (hash: string) => Buffer) {
  for (const hash of hashesOf(documents, signOffs)) file(hash);
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
  const found = readFolder((file) => textOf(path.join(folder, file)));
  const file = createFiles(folder, found.places);
  checkAll(found, file);
  const read = (hash: string) => Promise.resolve(file(hash));
  return openedFrom(found, { read, font: file, close: () => {} });
}
