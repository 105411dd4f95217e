import type { Documents } from '@/core/project/documents';
import { checkFolder, type FolderFault, type FolderFile } from '@/formats/files/folder';
import type { OutFile } from '@/formats/files/names';
import { openFiles, type OpenZip } from '../archives/zip';
import { drawn, type For } from '../drawing/drawn';
import { allFiles } from './files';
import { noPicture } from '../pictures/folder-file';
import { effortOf } from '../importing/picture';
import { sniff } from '../pictures/sniff';
import { Problem } from '../problem';
import { fileFacts } from '../services/pictures';

const refuse = (why: string) =>
  new Problem(422, `This folder cannot be checked: ${why} Nothing was changed.`);

/** The folder that everything in a ZIP lies in, with its /, as programs that pack a folder write it; '' without one. */
export function sharedFolder(paths: readonly string[], wanted: readonly Pick<OutFile, 'path'>[]): string {
  const first = /^[^/]+\//.exec(paths[0] ?? '')?.[0] ?? '';
  const isOwn = wanted.some((w) => w.path.startsWith(first));
  return first !== '' && !isOwn && paths.every((p) => p.startsWith(first)) ? first : '';
}

/** One file as it lies in the ZIP; one of the project, to the byte, need not be looked at. @throws Problem 503 */
async function looked(
  path: string,
  bytes: Buffer,
  wanted: OutFile | undefined,
  by: For,
): Promise<FolderFile> {
  const none = noPicture(path, bytes);
  const type = await sniff(bytes);
  if (!type) return none;
  if (wanted?.hash === none.hash) {
    const { widthPx, heightPx, transparent = false } = wanted;
    return { ...none, type, widthPx, heightPx, transparent };
  }
  try {
    return await drawn(
      {
        kind: 'inspect',
        input: { path, bytes, own: wanted?.hash ?? null },
        ...effortOf(bytes, type),
        name: `“${path}”`,
      },
      by,
    );
  } catch (error) {
    // What takes too long or too much to be decoded is no picture that can be shipped.
    if (error instanceof Problem && error.status === 422) return none;
    throw error;
  }
}

async function filesIn(zip: OpenZip, wanted: readonly OutFile[], by: For): Promise<FolderFile[]> {
  const folder = sharedFolder([...zip.entries.keys()], wanted);
  const byPath = new Map(wanted.map((w) => [w.path, w]));
  const found: FolderFile[] = [];
  for (const [name, entry] of zip.entries) {
    const path = name.slice(folder.length);
    found.push(await looked(path, await zip.read(entry), byPath.get(path), by));
  }
  return found;
}

/** What is wrong with a folder, of how many files, and how many the project has. */
export interface CheckedFolder {
  faults: FolderFault[];
  found: number;
  wanted: number;
}

/**
 * Holds a ZIP of files against those that the scenes of a project show.
 * @param file where the ZIP lies @param heaviest bytes that no file may be heavier than
 * @throws Problem 422 for a ZIP or a pattern that cannot be used, 503 where too many wait
 */
export async function checkZip(
  documents: Documents,
  file: string,
  { pattern, heaviest }: { pattern: string; heaviest?: number },
  by: For,
): Promise<CheckedFolder> {
  const wanted = allFiles({ documents, pattern, facts: fileFacts(documents) });
  const zip = await openFiles(file, { refuse, notThere: () => null });
  try {
    const found = await filesIn(zip, wanted, by);
    return { faults: checkFolder({ wanted, found, heaviest }), found: found.length, wanted: wanted.length };
  } finally {
    zip.close();
  }
}
