import { inkFiles } from '@/core/files/check';
import { filesOf, fontsOfScene, scenesInOrder, type Documents } from '@/core/project/documents';
import { digestOf } from '@/core/review/digest';
import { review, type ReviewProgress } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import type { Screen } from '@/core/screens/screen';
import type { Host } from './host';

/** A project as it stands at a revision. */
export interface ToReview {
  documents: Documents;
  revision: number;
  /** every screen that it is looked at on */
  screens: readonly Screen[];
}

/** Loads what a review needs. @returns the steps of the review, which say how far it is */
export async function reviewing(
  { documents, revision, screens }: ToReview,
  host: Host,
): Promise<Generator<ReviewProgress, Review>> {
  const { pictures } = documents.project;
  const scenes = scenesInOrder(documents);
  const writes = scenes.some(({ layers }) => layers.some((l) => l.kind === 'text'));
  const fonts = writes ? await host.fonts([...new Set(scenes.flatMap(fontsOfScene))]) : null;
  const pixels = await host.pixels(filesOf(pictures));
  const ink = await host.ink(inkFiles(pictures));
  const digest = await digestOf(documents, screens);
  return review({ documents, revision, digest, screens, outside: { fonts, pixels }, ink });
}

/** Says how far something is, and whether to go on. */
export type GoOn<P> = (progress: P) => Promise<boolean>;

/** Takes one step after another, for as long as somebody wants the answer; `null` once nobody does. */
export async function goingOn<P, T>(steps: Generator<P, T>, goOn: GoOn<P>): Promise<T | null> {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    if (!(await goOn(value))) return null;
  }
}
