import { inkFiles } from '@/core/files/check';
import type { Ink } from '@/core/pixels/ink';
import type { Review } from '@/core/review/schema';
import { LARGEST } from '../drawing/cost';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { Problem } from '../problem';
import { statistics } from './pictures';
import { loadProject } from './projects';

/** Where the ink of the files of a project lies, as the store knows it or now works it out; lost files are left out. */
async function inkOf(hashes: readonly string[]): Promise<Map<string, Ink | null>> {
  const found = new Map<string, Ink | null>();
  for (const hash of hashes) {
    try {
      found.set(hash, (await statistics(hash)).ink);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
    }
  }
  return found;
}

/** A project with what is known of the ink of its files. @throws Problem 404 */
export async function toReview(projectId: string) {
  const { documents, revision } = loadProject(projectId);
  return { documents, revision, ink: await inkOf(inkFiles(documents.project.pictures)) };
}

/** Judges a project. @throws Problem */
export const reviewed = (input: Awaited<ReturnType<typeof toReview>>, by: For): Promise<Review> =>
  drawn({ kind: 'review', input, cost: LARGEST, deadlineMs: DRAWING.decodeMs, name: 'This review' }, by);
