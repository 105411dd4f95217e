import { shownPictures, type Documents } from '@/core/project/documents';
import { fileStem } from '@/formats/file-name';
import { outFiles, PatternFault, type FileFacts } from '@/formats/files/names';
import { Problem } from '../problem';
import type { TaskProgress } from '../drawing/progress';
import type { Made } from './made';
import type { Bytes } from './page';
import { zipOf } from './zip';

export interface FilesToMake {
  documents: Documents;
  pattern: string;
  facts: FileFacts;
  /** the paths of those that are taken; all when absent */
  only?: readonly string[];
}

/**
 * All files of the pictures that scenes show, in a ZIP, under the names that a pattern gives them.
 * @throws Problem 422 for a pattern that cannot be used, or where there is no file; 410, while it is read, for a lost one
 */
export function makeFiles(
  { documents, pattern, facts, only }: FilesToMake,
  from: Pick<Bytes, 'open'>,
  onProgress: (progress: TaskProgress) => void = () => {},
): Made {
  const files = (() => {
    try {
      return outFiles(shownPictures(documents), pattern, facts);
    } catch (error) {
      if (error instanceof PatternFault) throw new Problem(422, error.message);
      throw error;
    }
  })();
  const isTaken = ({ path }: { path: string }) => only?.includes(path) ?? true;
  const taken = files.filter(isTaken);
  if (only && taken.length === 0)
    throw new Problem(
      422,
      `None of these is a file of this project under this pattern: ${only.slice(0, 3).join(', ')}.`,
    );
  if (files.length === 0)
    throw new Problem(422, 'No scene of this project shows a picture: there is no file to take along.');
  const say = (done: number) => onProgress({ done, of: taken.length, doing: 'packing its files' });
  say(0);
  const entries = taken.map(({ path, hash }) => ({
    path,
    content: () => from.open(hash),
    pack: path.endsWith('.svg'),
  }));
  return {
    content: zipOf(entries, say),
    name: `${fileStem(documents.project.name)}-files.zip`,
    mediaType: 'application/zip',
  };
}
