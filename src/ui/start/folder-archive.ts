import { HEADER_FILE, OWN_FOLDERS } from '@/formats/folder-names';
import { packed } from '../parts/packed';

const entriesOf = (folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> => {
  const reader = folder.createReader();
  // A reader gives a part of the list at a time, and nothing once it is at its end.
  const more = async (found: FileSystemEntry[]): Promise<FileSystemEntry[]> => {
    const part = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    return part.length > 0 ? more([...found, ...part]) : found;
  };
  return more([]);
};

const fileOf = (entry: FileSystemFileEntry): Promise<File> =>
  new Promise((resolve, reject) => entry.file(resolve, reject));

/** The files of a dropped folder by their path in it; of its folders, those of a project. */
export async function filesInEntry(folder: FileSystemDirectoryEntry): Promise<Map<string, File>> {
  const found = new Map<string, File>();
  const own = (name: string) => (OWN_FOLDERS as readonly string[]).includes(name);
  for (const entry of await entriesOf(folder)) {
    if (entry.isFile) found.set(entry.name, await fileOf(entry as FileSystemFileEntry));
    else if (own(entry.name))
      for (const child of await entriesOf(entry as FileSystemDirectoryEntry))
        if (child.isFile)
          found.set(`${entry.name}/${child.name}`, await fileOf(child as FileSystemFileEntry));
  }
  return found;
}

/** The files of a chosen folder by their path in it. */
export const filesInList = (list: Iterable<File>): Map<string, File> =>
  new Map([...list].map((file) => [file.webkitRelativePath.split('/').slice(1).join('/'), file]));

/** What in a folder belongs to a project; what else lies there, such as its history, does not. */
const belongs = (path: string) => {
  const [first = '', second, more] = path.split('/');
  if (second === undefined) return /^[a-z]+\.json$/.test(first);
  return more === undefined && (OWN_FOLDERS as readonly string[]).includes(first);
};

/**
 * A folder as the archive that it would be, to be sent.
 * @param name of the folder @throws Error that says the way out, for one without a project
 */
export async function archiveOf(name: string, files: ReadonlyMap<string, File>): Promise<File> {
  if (!files.has(HEADER_FILE))
    throw new Error(
      `There is no project in the folder ${name}: it has no ${HEADER_FILE}. Drop the folder that coulee export has written.`,
    );
  const own = [...files].filter(([path]) => belongs(path)).toSorted(([a], [b]) => (a < b ? -1 : 1));
  return packed(`${name}.zip`, own);
}
