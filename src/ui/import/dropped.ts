/** A file with the folder that it lay in, as far as the browser says. */
export interface Incoming {
  file: File;
  /** with `/` between folders */
  path: string;
}

export const ofFiles = (files: Iterable<File>): Incoming[] =>
  [...files].map((file) => ({ file, path: file.webkitRelativePath || file.name }));

const fileOf = (entry: FileSystemFileEntry) =>
  new Promise<File>((resolve, reject) => entry.file(resolve, reject));

/** A folder is read in portions, until one is empty. */
async function entriesOf(folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    if (some.length === 0) return all;
    all.push(...some);
  }
}

async function walk(entry: FileSystemEntry): Promise<Incoming[]> {
  if (entry.name.startsWith('.')) return [];
  const path = entry.fullPath.replace(/^\//, '');
  if (entry.isFile) return [{ file: await fileOf(entry as FileSystemFileEntry), path }];
  const inside = await entriesOf(entry as FileSystemDirectoryEntry);
  return (await Promise.all(inside.map(walk))).flat();
}

/** Everything that was dropped, folders with all that they hold. Has to be asked while the event is handled. */
export async function ofDrop(transfer: DataTransfer): Promise<Incoming[]> {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry?.() ?? null);
  const files = ofFiles(transfer.files);
  if (!entries.some((e) => e?.isDirectory)) return files;
  return (await Promise.all(entries.filter((e) => e !== null).map(walk))).flat();
}
