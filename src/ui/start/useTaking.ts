'use client';
import { uploadArchive } from '../api';
import { useSending } from '../parts/useSending';

export interface TakingProps {
  /** hears the name of the project that was taken in */
  onTaken: (name: string) => void;
  onProblem: (message: string) => void;
}

/** Takes a project in from an archive or a folder: chosen, or dropped. */
export function useTaking({ onTaken, onProblem }: TakingProps) {
  const { reading, send, cancel } = useSending();
  const take = (name: string, make: () => Promise<File>) =>
    send(name, async (sending) => onTaken((await uploadArchive(await make(), sending)).name), onProblem);
  const takeFile = (file: File | undefined) => file && void take(file.name, () => Promise.resolve(file));
  const takeEntry = (folder: FileSystemDirectoryEntry) =>
    void take(folder.name, async () => {
      const { archiveOf, filesInEntry } = await import('./folder-archive');
      return archiveOf(folder.name, await filesInEntry(folder));
    });
  const takeDropped = ({ items, files }: DataTransfer) => {
    // What was dropped can only be read while the event is handled.
    const entries = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
    if (entries.length === 0) return takeFile(files[0]);
    const all = [...files];
    for (const [i, entry] of entries.entries())
      if (entry.isDirectory) takeEntry(entry as FileSystemDirectoryEntry);
      else takeFile(all[i]);
  };
  /** @param files of a folder that was chosen, all of them */
  const takeFolder = (files: readonly File[]) => {
    const [first] = files;
    if (!first) return;
    const name = first.webkitRelativePath.split('/')[0]!;
    void take(name, async () => {
      const { archiveOf, filesInList } = await import('./folder-archive');
      return archiveOf(name, filesInList(files));
    });
  };
  return { reading, cancel, takeFile, takeDropped, takeFolder };
}
