import path from 'node:path';
import { copiedProject } from '@/core/project/copy';
import type { Documents } from '@/core/project/documents';
import { fontHashesOf, hashesOf } from '@/formats/folder';
import { openFileBytes, refuse, type Archive } from '../archives/read';
import { LARGEST } from '../drawing/cost';
import { drawn, NOBODY, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { keepFont } from '../importing/font';
import { keepFile } from '../importing/picture';
import { takeIn, type StoredProject } from './projects';
import { checkDrawn } from './save';

/** Keeps every file of a project, all of which were read once: nothing is half taken in. @throws Problem 422 */
async function keepAll({ documents, signOffs, places, read }: Archive, by: For) {
  const fonts = new Set(fontHashesOf(documents, signOffs));
  for (const hash of hashesOf(documents, signOffs)) {
    const name = places.get(hash)!;
    if (fonts.has(hash)) await keepFont(await read(hash), name, by);
    else checkSize(documents, await keepFile(await read(hash), name, by), name);
  }
}

/** What documents say of a file has to be so: its size decides where it is drawn. @throws Problem 422 */
function checkSize(
  documents: Documents,
  kept: { hash: string; widthPx: number; heightPx: number },
  name: string,
) {
  const said = documents.project.pictures
    .flatMap((p) => p.cuts.flatMap((c) => c.renditions))
    .filter((r) => r.hash === kept.hash && !r.vector);
  if (said.some((r) => r.widthPx !== kept.widthPx || r.heightPx !== kept.heightPx))
    throw refuse(`its documents say another size of “${name}” than it has.`);
}

/**
 * Takes a project in from a ZIP that was taken along. Where no project has its id it is the very same; beside one that has,
 * also a deleted one, it becomes a copy, with ids of its own and without sign-offs, which were of the other.
 * @param file where the ZIP lies
 * @throws Problem 422 that says what is wrong with it; nothing of it is then there
 */
export async function importArchive(file: string, by: For = NOBODY): Promise<StoredProject> {
  const found = await drawn(
    {
      kind: 'readArchive',
      // The process that reads it works in another folder.
      input: { file: path.resolve(file) },
      cost: LARGEST,
      deadlineMs: DRAWING.decodeMs,
      name: 'This archive',
      wayOut: 'Take some of its scenes or sign-offs out before it is packed.',
    },
    by,
  );
  const bytes = await openFileBytes(file, found.places);
  try {
    await keepAll({ ...found, ...bytes }, by);
    checkDrawn(null, found.documents);
    by.signal?.throwIfAborted();
    return takeIn(found, (of) => copiedProject(of, () => crypto.randomUUID()));
  } finally {
    bytes.close();
  }
}
