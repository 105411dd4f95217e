import { shownPictures, type Documents } from '@/core/project/documents';
import { fileStem } from '@/formats/text/file-name';
import { outFiles, PatternFault, type FileFacts, type OutFile } from '@/formats/files/names';
import { Problem } from '../problem';
import type { TaskProgress } from '../progress';
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
 * All files of the pictures that scenes show, under the names that a pattern gives them; none where no scene shows one.
 * @throws Problem 422 for a pattern that cannot be used
 */
export function allFiles({ documents, pattern, facts }: Omit<FilesToMake, 'only'>): OutFile[] {
  try {
    return outFiles(shownPictures(documents), pattern, facts);
  } catch (error) {
    if (error instanceof PatternFault) throw new Problem(422, error.message);
    throw error;
  }
}

/** These files, or those of them that are taken. @throws Problem 422 as above, and where there is no file */
export function namedFiles({ only, ...input }: FilesToMake): OutFile[] {
  const files = allFiles(input);
  if (files.length === 0)
    throw new Problem(422, 'No scene of this project shows a picture: there is no file to take along.');
  const taken = only ? files.filter(({ path }) => only.includes(path)) : files;
  if (taken.length > 0) return taken;
  const some = only!.slice(0, 3).join(', ');
  throw new Problem(422, `None of these is a file of this project under this pattern: ${some}.`);
}

/**
 * These files in a ZIP, as they are.
 * @throws Problem as above; 410, while it is read, for a lost file
 */
export function makeFiles(
  input: FilesToMake,
  from: Pick<Bytes, 'open'>,
  onProgress: (progress: TaskProgress) => void = () => {},
): Made {
  const taken = namedFiles(input);
  const say = (done: number) => onProgress({ done, of: taken.length, doing: 'packing its files' });
  say(0);
  const entries = taken.map(({ path, hash }) => ({
    path,
    content: () => from.open(hash),
    pack: path.endsWith('.svg'),
  }));
  return {
    content: zipOf(entries, say),
    name: `${fileStem(input.documents.project.name)}-files.zip`,
    mediaType: 'application/zip',
  };
}
