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

/** The pixels of all files, and the fonts of all scenes; `null` for these where nothing is written. */
export async function gather(documents: Documents, host: Host) {
  const scenes = scenesInOrder(documents);
  const writes = scenes.some(({ layers }) => layers.some((l) => l.kind === 'text'));
  const fonts = writes ? await host.fonts([...new Set(scenes.flatMap(fontsOfScene))]) : null;
  return { fonts, pixels: await host.pixels(filesOf(documents.project.pictures)) };
}

/**
 * Loads what a review needs.
 * @param gathered the pixels and fonts, where they are there already
 * @returns the steps of the review, which say how far it is
 */
export async function reviewing(
  { documents, revision, screens }: ToReview,
  host: Host,
  gathered?: Awaited<ReturnType<typeof gather>>,
): Promise<Generator<ReviewProgress, Review>> {
  const { pictures } = documents.project;
  const outside = gathered ?? (await gather(documents, host));
  const ink = await host.ink(inkFiles(pictures));
  const digest = digestOf(documents, screens);
  return review({ documents, revision, digest, screens, outside, ink });
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
