import type { Documents } from '@/core/project/documents';
import type { KeptSignOff } from '@/core/review/sign-off';
import { fileStem } from '@/formats/text/file-name';
import { documentFiles, sealed } from '@/formats/folder';
import { placesByHash } from '@/formats/places';
import type { TaskProgress } from '../progress';
import type { Made } from './made';
import type { Bytes } from './page';
import { zipOf, type Entry } from './zip';

/** A project with all that belongs to it. */
export interface WholeProject {
  documents: Documents;
  revision: number;
  signOffs: readonly KeptSignOff[];
}

/** Text is packed; of files, those that are not packed already are few. */
const textEntry = (path: string, text: string): Entry => ({ path, content: Buffer.from(text), pack: true });

/**
 * A whole project as one ZIP: its documents and sign-offs as JSON, their files by their hash. The same project is the same ZIP, to the byte.
 * @throws Problem 410, while it is read, for a lost file
 */
export function makeArchive(
  { documents, revision, signOffs }: WholeProject,
  from: Pick<Bytes, 'open'>,
  onProgress: (progress: TaskProgress) => void = () => {},
): Made {
  const places = placesByHash(documents, signOffs);
  const texts = [...sealed(documentFiles(documents, revision, places, signOffs))].map(([path, text]) =>
    textEntry(path, text),
  );
  const files = [...places].map(([hash, path]): Entry => ({
    path,
    content: () => from.open(hash),
    pack: false,
  }));
  const say = (done: number) => onProgress({ done, of: files.length, doing: 'packing its files' });
  say(0);
  const entries = [...texts, ...files].toSorted((a, b) => (a.path < b.path ? -1 : 1));
  return {
    content: zipOf(entries, say),
    name: `${fileStem(documents.project.name)}.zip`,
    mediaType: 'application/zip',
  };
}
