'use client';
import { useEffect, useRef, useState } from 'react';
import { messageOf, uploadArchive } from '../api';
import type { Reading } from '../parts/Sent';

export interface TakingProps {
  /** hears the name of the project that was taken in */
  onTaken: (name: string) => void;
  onProblem: (message: string) => void;
}

/** Takes a project in, one after another. */
function useUpload({ onTaken, onProblem }: TakingProps) {
  const [reading, setReading] = useState<Reading | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const take = async (name: string, make: () => Promise<File>) => {
    if (reading) return;
    const abort = (running.current = new AbortController());
    const onProgress = (share: number) => setReading({ name, share });
    onProgress(0);
    try {
      const file = await make();
      const { name: taken } = await uploadArchive(file, { onProgress, signal: abort.signal });
      onTaken(taken);
    } catch (error) {
      if (!abort.signal.aborted) onProblem(messageOf(error));
    } finally {
      setReading(null);
    }
  };
  return { reading, take, cancel: () => running.current?.abort() };
}

/** Takes a project in from an archive or a folder: chosen, or dropped. */
export function useTaking(props: TakingProps) {
  const { reading, take, cancel } = useUpload(props);
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
