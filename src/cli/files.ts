import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { countOf } from '@/core/words/words';
import { checkFolder } from '@/formats/files/folder';
import { encodeFiles, type ToEncode } from '@/server/drawing/encode';
import { encodedFiles, makeEncoded } from '@/server/exports/encoded';
import { allFiles, makeFiles } from '@/server/exports/files';
import { readableOf, type Made } from '@/server/exports/made';
import { open, type ProjectAsked } from './asked';
import type { Io } from './check';
import { bytesOf, encodingOf, type EncodingAsked } from './encoding';
import { filesIn, heldFile, isFolder, writeFiles } from './in-folder';
import { Refusal, type Opened } from './opened';

export interface FilesAsked extends ProjectAsked, EncodingAsked {
  pattern: string;
  /** a ZIP, or a folder: one that is there, or written with / at its end */
  out?: string;
  /** a folder that is held against the files of the project */
  check?: string;
  /** kB that no file of it may be heavier than */
  heaviest?: string;
}

/** The files of a project under their names, and what they are made of. */
const inputOf = async ({ documents, facts }: Opened, pattern: string) => ({
  documents,
  pattern,
  facts: await facts(),
});

/** What was made of all files, in a ZIP; half of one is never left behind. */
export async function writeZip(made: Made, out: string, io: Io): Promise<void> {
  const temporary = `${out}.part`;
  try {
    await pipeline(readableOf(made), createWriteStream(temporary));
    await rename(temporary, out);
    io.out(`All files were written to ${out}.\n`);
  } finally {
    await rm(temporary, { force: true });
  }
}

/** Writes all files, as they are or encoded anew, to a folder or into a ZIP. @throws Problem, Refusal */
async function write(opened: Opened, asked: FilesAsked & { out: string }, io: Io): Promise<void> {
  const { out, pattern } = asked;
  const encoding = encodingOf(asked);
  const input = await inputOf(opened, pattern);
  const encode = (of: ToEncode) => encodeFiles(of, opened.bytes.original, () => {});
  if (!isFolder(out)) {
    const made = encoding
      ? await makeEncoded({ ...input, encoding }, opened.bytes, encode)
      : makeFiles(input, opened.bytes);
    await writeZip(made, out, io);
    if (made.said) io.out(`${made.said}\n`);
    return;
  }
  const set = encoding && (await encodedFiles({ ...input, encoding }, opened.bytes, encode));
  const files = set
    ? set.files.map(({ path, content }) => heldFile(path, content))
    : allFiles(input).map(({ path, hash }) => ({
        path,
        hash,
        read: () => opened.bytes.original(hash),
      }));
  const { written, unchanged } = await writeFiles(out, files);
  io.out(`${countOf(written, 'file')} written to ${out}, ${unchanged} unchanged.\n`);
  if (set) io.out(`${set.said}\n`);
}

/** Holds a folder against the files of the project. @returns 1 where anything is wrong with it */
async function checked(opened: Opened, { check, pattern, heaviest }: FilesAsked, io: Io): Promise<0 | 1> {
  const most = bytesOf(heaviest, '--heaviest');
  const wanted = allFiles(await inputOf(opened, pattern));
  const found = await filesIn(check!, wanted, opened.bytes);
  const faults = checkFolder({ wanted, found, heaviest: most });
  const lines = faults.map(({ path, said, mend }) => `▲ ${path}\n    ${said} ${mend}`);
  const sum =
    faults.length === 0
      ? `${check} holds the ${countOf(wanted.length, 'file')} of the project, and nothing else.`
      : `${countOf(faults.length, 'fault')} in ${check}, of ${countOf(wanted.length, 'file')} that should be there.`;
  io.out(`${[...lines, sum].join('\n')}\n`);
  return faults.length > 0 ? 1 : 0;
}

/**
 * Takes all files of a project out, into a ZIP or a folder, or holds a folder against them.
 * @returns the exit code @throws Refusal where neither is asked for
 */
export async function files(asked: FilesAsked, io: Io): Promise<0 | 1> {
  const { out, check } = asked;
  if (out === undefined && check === undefined)
    throw new Refusal(
      'Say where the files are written to: --out FILE.zip or --out FOLDER/, or which folder is checked: --check FOLDER.',
    );
  const opened = await open(asked);
  try {
    if (out !== undefined) await write(opened, { ...asked, out }, io);
    return check === undefined ? 0 : await checked(opened, asked, io);
  } finally {
    opened.close();
  }
}
