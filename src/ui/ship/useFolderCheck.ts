'use client';
import { useEffect, useRef, useState } from 'react';
import type { checkFiles } from '@/formats/api/files';
import type { AnswerOf } from '@/formats/api/operation';
import { messageOf, uploadFolder } from '../api';
import { ofDrop, ofFiles, type Incoming } from '../import/dropped';
import type { Reading } from '../parts/Sent';
import { useWorkbench } from '../state/context';

/** A folder that was checked, or why it could not be. */
export type Checked = ({ name: string } & AnswerOf<typeof checkFiles>) | { name: string; problem: string };

const isZip = ({ file }: Incoming) => /\.zip$/i.test(file.name);

/** What is sent: the ZIP as it is, or everything else in one. */
async function zipOf(incoming: readonly Incoming[]): Promise<File> {
  const [first] = incoming;
  if (!first) throw new Error('There is no file in it.');
  if (incoming.length === 1 && isZip(first)) return first.file;
  const { packed } = await import('../parts/packed');
  const folder = /^([^/]+)\//.exec(first.path)?.[1];
  return packed(
    `${folder ?? 'files'}.zip`,
    incoming.map(({ path, file }) => [path, file] as const),
  );
}

/**
 * Holds folders against the files of the project, one at a time.
 * @param pattern by which files are named @param heaviest kB that none may be heavier than, as it was typed; any where it is empty
 */
export function useFolderCheck(pattern: string, heaviest: string) {
  const project = useWorkbench((s) => s.documents.project.id);
  const [reading, setReading] = useState<Reading | null>(null);
  const [checked, setChecked] = useState<Checked | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const check = async (find: Promise<readonly Incoming[]>) => {
    if (running.current) return;
    const abort = (running.current = new AbortController());
    let name = 'the folder';
    try {
      const zip = await zipOf(await find);
      name = zip.name.replace(/\.zip$/i, '');
      const onProgress = (share: number) => setReading({ name, share });
      onProgress(0);
      const kb = Number(heaviest);
      const query = { pattern, ...(heaviest.trim() !== '' && { heaviest: kb * 1000 }) };
      const found = await uploadFolder(project, zip, query, { onProgress, signal: abort.signal });
      setChecked({ name, ...found });
    } catch (error) {
      if (!abort.signal.aborted) setChecked({ name, problem: messageOf(error) });
    } finally {
      running.current = null;
      setReading(null);
    }
  };
  return {
    reading,
    checked,
    cancel: () => running.current?.abort(),
    close: () => setChecked(null),
    // What is dropped can only be read while the event is handled.
    checkDropped: (transfer: DataTransfer) => void check(ofDrop(transfer)),
    checkFiles: (files: readonly File[]) => files.length > 0 && void check(Promise.resolve(ofFiles(files))),
  };
}
