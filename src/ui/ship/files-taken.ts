import { z } from 'zod';
import type { OutFile } from '@/formats/files/names';

/** The files that were taken along last: when, and each by its path and its content. */
const Kept = z.object({ at: z.string(), files: z.record(z.string(), z.string()) });
export type FilesTaken = z.infer<typeof Kept>;

const keyOf = (project: string) => `coulee-files ${project}`;

/** What was taken along of a project last; `null` where nothing was, or where it cannot be read. */
export function readFilesTaken(project: string): FilesTaken | null {
  try {
    return Kept.parse(JSON.parse(localStorage.getItem(keyOf(project)) ?? 'null'));
  } catch {
    return null;
  }
}

/** Keeps what was taken along beside what was taken earlier; where there is no room for it, nothing counts as taken later. */
export function keepFilesTaken(project: string, files: readonly OutFile[], at: Date): void {
  const taken = Object.fromEntries(files.map(({ path, hash }) => [path, hash]));
  try {
    localStorage.setItem(keyOf(project), JSON.stringify({ at: at.toISOString(), files: taken }));
  } catch {
    // The files are there all the same.
  }
}

/** The files that are new or have another content than when they were taken along last. */
export const changedSince = (files: readonly OutFile[], { files: before }: FilesTaken): OutFile[] =>
  files.filter(({ path, hash }) => before[path] !== hash);
