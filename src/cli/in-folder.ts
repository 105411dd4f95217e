import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { hashOf } from '@/server/blobs';
import type { FolderFile } from '@/formats/files/folder';
import type { OutFile } from '@/formats/files/names';
import type { Bytes } from '@/server/exports/page';
import { folderFile } from '@/server/pictures/folder-file';
import { Refusal } from './opened';

/** A folder with more files is hardly one of pictures. */
const MOST_FILES = 10_000;

/**
 * Every file of a folder and of those in it; links lead nowhere.
 * @param wanted the files of the project, with which those of their names are compared
 * @throws Refusal where there is no such folder
 */
export async function filesIn(
  folder: string,
  wanted: readonly OutFile[],
  from: Pick<Bytes, 'original'>,
): Promise<FolderFile[]> {
  if (!statSync(folder, { throwIfNoEntry: false })?.isDirectory())
    throw new Refusal(`There is no folder ${folder}.`);
  const names = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .map((e) => path.relative(folder, path.join(e.parentPath, e.name)));
  if (names.length > MOST_FILES)
    throw new Refusal(`${folder} has ${names.length} files; up to ${MOST_FILES} are looked at.`);
  const byPath = new Map(wanted.map((w) => [w.path, w.hash]));
  const found: FolderFile[] = [];
  for (const name of names.toSorted()) {
    const bytes = readFileSync(path.join(folder, name));
    const place = name.split(path.sep).join('/');
    const own = byPath.get(place);
    const isOwn = own === undefined || own === hashOf(bytes);
    found.push(await folderFile(place, bytes, isOwn ? null : await from.original(own)));
  }
  return found;
}

/** Whether a place is meant as a folder: it is one, or is written like one. */
export const isFolder = (place: string): boolean =>
  /[\\/]$/.test(place) || (statSync(place, { throwIfNoEntry: false })?.isDirectory() ?? false);

/** A file that is written into a folder. */
export interface ToWrite {
  path: string;
  hash: string;
  read: () => Promise<Buffer>;
}

/** A file that lies in memory. */
export const heldFile = (path: string, bytes: Buffer): ToWrite => ({
  path,
  hash: hashOf(bytes),
  read: () => Promise.resolve(bytes),
});

/** Writes files into a folder; those that lie there already, to the byte, are left as they are. */
export async function writeFiles(
  folder: string,
  files: readonly ToWrite[],
): Promise<{ written: number; unchanged: number }> {
  let written = 0;
  for (const { path: name, hash, read } of files) {
    const place = path.join(folder, ...name.split('/'));
    const isThere = statSync(place, { throwIfNoEntry: false })?.isFile();
    if (isThere && hashOf(readFileSync(place)) === hash) continue;
    const bytes = await read();
    mkdirSync(path.dirname(place), { recursive: true });
    const temporary = `${place}.part`;
    try {
      writeFileSync(temporary, bytes);
      renameSync(temporary, place);
    } finally {
      rmSync(temporary, { force: true });
    }
    written++;
  }
  return { written, unchanged: files.length - written };
}
