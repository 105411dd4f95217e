import { z } from 'zod';
import { NewerSchema } from '@/core/project/migrate';
import { FolderFault, hashesOf, readFolder, type ReadFolder } from '@/formats/folder';
import { OWN_FOLDERS } from '@/formats/folder-names';
import { hashOf } from '../blobs';
import { describe, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { MB, openFiles, type OpenZip } from './zip';

/** Why an archive is not taken. */
export const refuse = (why: string) =>
  new Problem(422, `This archive cannot be imported: ${why} Nothing was changed.`);

/** The files that a project is made of, and nothing else: no other folder, and none inside these. */
const KNOWN = new RegExp(`^([a-z]+\\.json|(${OWN_FOLDERS.join('|')})/[^/]+)$`);
const notThere = (name: string) =>
  KNOWN.test(name) ? null : `“${name.slice(0, 80)}” is no file of a project.`;

/** The documents in a ZIP. @throws Problem 422 in words */
async function documentsIn({ entries, read }: OpenZip): Promise<ReadFolder> {
  const texts = new Map<string, string>();
  for (const [name, entry] of entries) {
    if (!name.endsWith('.json')) continue;
    const most = name.startsWith('sign-offs/') ? INPUT_LIMITS.signOffBytes : INPUT_LIMITS.documentBytes;
    if (entry.uncompressedSize > most) throw refuse(`“${name}” has more than ${most / MB} MB.`);
    texts.set(name, (await read(entry)).toString('utf8'));
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
async function checked({ entries, read }: OpenZip, place: string, hash: string) {
  const entry = entries.get(place);
  if (!entry) throw refuse(`“${place}” is missing.`);
  const bytes = await read(entry);
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
  const zip = await openFiles(file, { refuse, notThere });
  try {
    const found = await documentsIn(zip);
    const read = (hash: string) => checked(zip, found.places.get(hash)!, hash);
    for (const hash of hashesOf(found.documents, found.signOffs)) await read(hash);
    return { ...found, read, close: zip.close };
  } catch (error) {
    zip.close();
    throw error;
  }
}
