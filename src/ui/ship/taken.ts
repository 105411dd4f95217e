import { z } from 'zod';

/** Figures of a sheet as they were copied or taken along last, by where they stand. */
export type Taken = Readonly<Record<string, string>>;

const Kept = z.record(z.string(), z.string());
const keyOf = (project: string, scene: string, target: string) =>
  `coulee-taken ${JSON.stringify([project, scene, target])}`;

/** What was taken of a sheet; nothing where it never was, or where it cannot be read. */
export function readTaken(project: string, scene: string, target: string): Taken {
  try {
    return Kept.parse(JSON.parse(localStorage.getItem(keyOf(project, scene, target)) ?? '{}'));
  } catch {
    return {};
  }
}

/** Keeps what was taken; where the browser has no room for it, nothing is marked later. */
export function writeTaken(project: string, scene: string, target: string, taken: Taken): void {
  try {
    localStorage.setItem(keyOf(project, scene, target), JSON.stringify(taken));
  } catch {
    // The figures are on the clipboard all the same.
  }
}

/** How a figure was taken last, where that is not how it is now. */
export const wasTaken = (taken: Taken, key: string, now: string): string | null => {
  const was = taken[key];
  return was === undefined || was === now ? null : was;
};
