import { countOf } from '@/core/words/words';
import {
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { documentFiles } from '@/formats/folder';
import { OWN_FOLDERS } from '@/formats/folder-names';
import { placesByName } from '@/formats/places';
import { makeArchive } from '@/server/exports/archive';
import { readableOf } from '@/server/exports/made';
import { open, type ProjectAsked } from './asked';
import type { Io } from './check';
import { isProjectFolder } from './folder';
import { Refusal, type Opened } from './opened';

/** @throws Refusal for a folder that holds something else */
function clear(folder: string): void {
  if (existsSync(folder) && readdirSync(folder).length > 0 && !isProjectFolder(folder))
    throw new Refusal(`${folder} holds something else. Name a folder that is empty, or not there yet.`);
  for (const own of OWN_FOLDERS) rmSync(path.join(folder, own), { recursive: true, force: true });
}

/** Writes a file that is not there yet: what lay under its name, a link to somewhere else too, is taken away first. */
function writeAnew(file: string, body: string | Buffer): void {
  rmSync(file, { force: true });
  writeFileSync(file, body, { flag: 'wx' });
}

/**
 * Writes a project into a folder: its documents as JSON, its files beside them under names that people read.
 * @returns how many files were written
 */
async function toFolder(
  { documents, revision, signOffs, facts, bytes }: Opened,
  out: string,
): Promise<number> {
  const places = placesByName(documents, await facts(), signOffs);
  const files = new Map<string, string | Buffer>(documentFiles(documents, revision, places, signOffs));
  for (const [hash, place] of places) files.set(place, await bytes.original(hash));
  const folder = path.resolve(out);
  // Everything was read: nothing is taken away for an export that cannot be finished.
  clear(folder);
  for (const [name, body] of files) {
    const file = path.join(folder, name);
    mkdirSync(path.dirname(file), { recursive: true });
    writeAnew(file, body);
  }
  return files.size;
}

/** Writes a project into one ZIP; half of one is never left there. */
export async function toArchive({ bytes, ...opened }: Opened, out: string): Promise<void> {
  const part = `${out}.part`;
  rmSync(part, { force: true });
  try {
    await pipeline(readableOf(makeArchive(opened, bytes)), createWriteStream(part, { flags: 'wx' }));
    renameSync(part, out);
  } finally {
    rmSync(part, { force: true });
  }
}

/**
 * Writes a project into a folder, or into an archive where that ends with .zip.
 * @throws Refusal; the fault of the disk, or of a file that is lost
 */
export async function exportProject(asked: ProjectAsked & { out: string }, io: Io): Promise<void> {
  const { out } = asked;
  const opened = await open(asked);
  try {
    if (path.extname(out).toLowerCase() === '.zip') {
      await toArchive(opened, out);
      io.out(`The archive was written to ${out}.\n`);
    } else io.out(`${countOf(await toFolder(opened, out), 'file')} written to ${out}.\n`);
  } finally {
    opened.close();
  }
}
