'use client';
import { useState } from 'react';
import type { checkFiles } from '@/formats/api/files';
import type { AnswerOf } from '@/formats/api/operation';
import { uploadFolder } from '../api';
import { ofDrop, ofFiles, type Incoming } from '../import/dropped';
import { useSending } from '../parts/useSending';
import { useWorkbench } from '../state/context';

/** A folder that was checked, or why it could not be. */
export type Checked =
  | ({
      name: string;
      /** its files by their paths, where they came one by one */
      files: ReadonlyMap<string, Incoming>;
    } & AnswerOf<typeof checkFiles>)
  | { name: string; problem: string };

const isZip = ({ path }: Incoming) => /\.zip$/i.test(path);

/** What a folder is called: by itself, or by its ZIP. */
const nameOf = ([first]: readonly Incoming[]): string =>
  first && isZip(first)
    ? first.path.replace(/\.zip$/i, '')
    : (/^([^/]+)\//.exec(first?.path ?? '')?.[1] ?? 'files');

/** Files by the paths that they have in what is sent; none of a ZIP, which nobody here has opened. */
const byPath = (incoming: readonly Incoming[]): ReadonlyMap<string, Incoming> =>
  new Map(incoming.some(isZip) ? [] : incoming.map((one) => [one.path.split('/').slice(1).join('/'), one]));

/** What is sent: the ZIP as it is, or everything else in one. @throws Error where there is nothing */
async function zipOf(name: string, incoming: readonly Incoming[]): Promise<File> {
  const [first] = incoming;
  if (!first) throw new Error('There is no file in it.');
  if (incoming.length === 1 && isZip(first)) return first.file;
  const { packed } = await import('../parts/packed');
  return packed(
    `${name}.zip`,
    incoming.map(({ path, file }) => [path, file] as const),
  );
}

/**
 * Holds folders against the files of the project, one at a time.
 * @param pattern by which files are named @param heaviest kB that none may be heavier than, as it was typed; any where it is empty
 */
export function useFolderCheck(pattern: string, heaviest: string) {
  const project = useWorkbench((s) => s.documents.project.id);
  const { reading, send, cancel } = useSending();
  const [checked, setChecked] = useState<Checked | null>(null);
  const check = (incoming: readonly Incoming[]) => {
    const name = nameOf(incoming);
    const query = { pattern, ...(heaviest.trim() !== '' && { heaviest: Number(heaviest) * 1000 }) };
    return send(
      name,
      async (sending) => {
        const zip = await zipOf(name, incoming);
        const found = await uploadFolder(project, zip, query, sending);
        setChecked({ name, files: byPath(incoming), ...found });
      },
      (problem) => setChecked({ name, problem }),
    );
  };
  return {
    reading,
    checked,
    cancel,
    close: () => setChecked(null),
    // What is dropped can only be read while the event is handled.
    checkDropped: (transfer: DataTransfer) =>
      void ofDrop(transfer).then(check, () =>
        setChecked({ name: 'the folder', problem: 'What was dropped could not be read. Choose it instead.' }),
      ),
    checkFiles: (files: readonly File[]) => files.length > 0 && void check(ofFiles(files)),
  };
}
