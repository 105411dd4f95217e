import { z } from 'zod';
import { NewerSchema } from '@/core/project/migrate';
import {
  documentNames,
  FolderFault,
  hashesOf,
  PROJECT_FILE,
  readFolder,
  type ReadFolder,
} from '@/formats/folder';
import { HEADER_FILE, OWN_FOLDERS } from '@/formats/folder-names';
import { hashOf } from '../blobs';
import type { TaskProgress } from '../progress';
import { describe, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { ARCHIVE_LIMITS, MB, openFiles, type OpenZip } from './zip';

/** Why an archive is not taken. */
export const refuse = (why: string) =>
  new Problem(422, `This archive cannot be imported: ${why} Nothing was changed.`);

/** The files that a project is made of, and nothing else: no other folder, and none inside these. */
const KNOWN = new RegExp(`^([a-z]+\\.json|(${OWN_FOLDERS.join('|')})/[^/]+)$`);
const notThere = (name: string) =>
  KNOWN.test(name) ? null : `“${name.slice(0, 80)}” is no file of a project.`;

const limitOf = (name: string) =>
  name.startsWith('sign-offs/') ? INPUT_LIMITS.signOffBytes : INPUT_LIMITS.documentBytes;

/** The documents that header and project name, and no others: one after another, up to a total. @throws Problem 422 in words */
async function textsIn({ entries, read }: OpenZip): Promise<Map<string, string>> {
  const texts = new Map<string, string>();
  let total = 0;
  const take = async (name: string) => {
    const entry = entries.get(name);
    if (!entry || texts.has(name)) return;
    const most = limitOf(name);
    if (entry.uncompressedSize > most) throw refuse(`“${name}” has more than ${most / MB} MB.`);
    total += entry.uncompressedSize;
    if (total > ARCHIVE_LIMITS.documentBytes)
      throw refuse(`its documents have more than ${ARCHIVE_LIMITS.documentBytes / MB} MB.`);
    texts.set(name, (await read(entry)).toString('utf8'));
  };
  await take(HEADER_FILE);
  await take(PROJECT_FILE);
  const [header, project] = [HEADER_FILE, PROJECT_FILE].map((name) => json(texts.get(name)));
  for (const name of documentNames(header, project)) await take(name);
  return texts;
}

/** What a text says; `undefined` of one that is no JSON, which reading the folder says in words. */
function json(text: string | undefined): unknown {
  try {
    return text === undefined ? undefined : JSON.parse(text);
  } catch (error) {
    if (error instanceof SyntaxError) return undefined;
    throw error;
  }
}

/** The documents in a ZIP. @throws Problem 422 in words */
async function documentsIn(zip: OpenZip): Promise<ReadFolder> {
  const texts = await textsIn(zip);
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

/** The bytes of files in a ZIP. */
export interface FileBytes {
  /** held against its hash @throws Problem 422 */
  read: (hash: string) => Promise<Buffer>;
  close: () => void;
}

/** A project in a ZIP that was taken along. */
export interface Archive extends ReadFolder, FileBytes {}

/** The bytes of the files in a ZIP. @param places where each lies, by its hash @throws Problem 422 that says what is wrong with it */
export async function openFileBytes(file: string, places: ReadonlyMap<string, string>): Promise<FileBytes> {
  const zip = await openFiles(file, { refuse, notThere });
  return { read: (hash) => checked(zip, places.get(hash)!, hash), close: zip.close };
}

/**
 * Opens a ZIP that was taken along, and reads all of it once.
 * @param file where it lies @param onStep called after each file
 * @throws Problem 422 that says what is wrong with it
 */
export async function openArchive(file: string, onStep = () => {}): Promise<Archive> {
  const zip = await openFiles(file, { refuse, notThere });
  try {
    const found = await documentsIn(zip);
    const read = (hash: string) => checked(zip, found.places.get(hash)!, hash);
    for (const hash of hashesOf(found.documents, found.signOffs)) {
      await read(hash);
      onStep();
    }
    return { ...found, read, close: zip.close };
  } catch (error) {
    zip.close();
    throw error;
  }
}

type Say = (progress?: TaskProgress) => void;

/** The same as a task: reads all of it once and closes it. @returns its documents alone */
export async function readArchive({ file }: { file: string }, onStep: Say): Promise<ReadFolder> {
  const { read: _, close, ...found } = await openArchive(file, onStep);
  close();
  return found;
}
