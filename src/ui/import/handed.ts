import type { Incoming } from './dropped';

/** Files that were dropped on the start page, for the project that was made for them; they outlive the change of page. */
let handed: { project: string; files: readonly Incoming[] } | null = null;

/** Keeps files for a project that is about to be opened. */
export function handOver(project: string, files: readonly Incoming[]): void {
  handed = { project, files };
}

/** Takes the files that were kept for a project, once; none when there are none. */
export function takeHanded(project: string): readonly Incoming[] {
  if (handed?.project !== project) return [];
  const { files } = handed;
  handed = null;
  return files;
}
