import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { readableOf } from '@/server/exports/made';
import { makeFiles } from '@/server/exports/files';
import { open, type ProjectAsked } from './asked';
import type { Io } from './check';
import { Refusal } from './opened';

export interface FilesAsked extends ProjectAsked {
  pattern: string;
  out?: string;
}

/** Puts all files of a project into a ZIP. Half of one is never left behind. @throws Refusal where no file is named to write */
export async function files(asked: FilesAsked, io: Io): Promise<void> {
  const { out, pattern } = asked;
  if (out === undefined) throw new Refusal('Say where the ZIP is written to: --out FILE.');
  const opened = await open(asked);
  const temporary = `${out}.part`;
  try {
    const made = makeFiles(
      { documents: opened.documents, pattern, facts: await opened.facts() },
      opened.bytes,
    );
    await pipeline(readableOf(made), createWriteStream(temporary));
    await rename(temporary, out);
    io.out(`All files were written to ${out}.\n`);
  } finally {
    await rm(temporary, { force: true });
    opened.close();
  }
}
