import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import type { FolderFile } from '@/formats/files/folder';
import type { OutFile } from '@/formats/files/names';
import { wholeOf } from '@/server/exports/made';
import type { Bytes } from '@/server/exports/page';
import { profileOf } from '@/server/pictures/profile';
import { sniff } from '@/server/pictures/sniff';
import { INPUT_LIMITS } from '@/server/settings';
import { Refusal } from './opened';

const hashOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

/** A folder with more files is hardly one of pictures. */
const MOST_FILES = 10_000;

/** One file as it lies there; what cannot be read as a picture is none. */
async function fileAt(folder: string, name: string): Promise<FolderFile> {
  const bytes = readFileSync(path.join(folder, name));
  const file = { path: name.split(path.sep).join('/'), hash: hashOf(bytes), bytes: bytes.length };
  const none = { type: null, widthPx: 0, heightPx: 0, transparent: false, profile: null };
  const type = await sniff(bytes);
  if (!type) return { ...file, ...none };
  try {
    const picture = sharp(bytes, { limitInputPixels: INPUT_LIMITS.picturePixels });
    const metadata = await picture.metadata();
    const { width, height } = metadata.autoOrient ?? metadata;
    const transparent =
      metadata.hasAlpha && type !== 'svg' ? !(await picture.stats()).isOpaque : metadata.hasAlpha;
    return { ...file, type, widthPx: width, heightPx: height, transparent, profile: profileOf(metadata) };
  } catch {
    return { ...file, ...none };
  }
}

/** Every file of a folder and of those in it; links lead nowhere. @throws Refusal where there is no such folder */
export async function filesIn(folder: string): Promise<FolderFile[]> {
  if (!statSync(folder, { throwIfNoEntry: false })?.isDirectory())
    throw new Refusal(`There is no folder ${folder}.`);
  const names = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .map((e) => path.relative(folder, path.join(e.parentPath, e.name)));
  if (names.length > MOST_FILES)
    throw new Refusal(`${folder} has ${names.length} files; up to ${MOST_FILES} are looked at.`);
  const found: FolderFile[] = [];
  for (const name of names.toSorted()) found.push(await fileAt(folder, name));
  return found;
}

/** Whether a place is meant as a folder: it is one, or is written like one. */
export const isFolder = (place: string): boolean =>
  /[\\/]$/.test(place) || (statSync(place, { throwIfNoEntry: false })?.isDirectory() ?? false);

/** Writes files into a folder; those that lie there already, to the byte, are left as they are. */
export async function writeFiles(
  folder: string,
  files: readonly OutFile[],
  from: Pick<Bytes, 'open'>,
): Promise<{ written: number; unchanged: number }> {
  let written = 0;
  for (const { path: name, hash } of files) {
    const place = path.join(folder, ...name.split('/'));
    const isThere = statSync(place, { throwIfNoEntry: false })?.isFile();
    if (isThere && hashOf(readFileSync(place)) === hash) continue;
    const bytes = await wholeOf({ content: await from.open(hash), name, mediaType: '' });
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
