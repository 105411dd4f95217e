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
  const takeDropped = ({ items, files }: DataTransfer) => {
    const entry = items[0]?.webkitGetAsEntry();
    if (!entry?.isDirectory) return takeFile(files[0]);
    const folder = entry as FileSystemDirectoryEntry;
    void take(folder.name, async () => {
      const { archiveOf, filesInEntry } = await import('./folder-archive');
      return archiveOf(folder.name, await filesInEntry(folder));
    });
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
