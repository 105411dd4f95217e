import type { Ink } from '@/core/pixels/ink';
import type { Documents } from '@/core/project/documents';
import type { ReviewProgress } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import { goingOn, reviewing } from '@/render/review';
import { readOriginalNow } from '../blobs';
import { screensOf } from '../catalogue';
import { fileHost } from './file-host';
import { STORED, type FileBytes } from './read';
import { saying } from './steps';

/** A project that is judged as it is given. */
export interface AskedReview {
  documents: Documents;
  revision: number;
  /** of its files, as far as it is known; `null` for a file without any */
  ink: ReadonlyMap<string, Ink | null>;
}

/** @param onStep hears how far it is */
export async function review(
  { documents, revision, ink }: AskedReview,
  onStep: (progress: ReviewProgress) => void,
): Promise<Review> {
  const preview: FileBytes['preview'] = (hash, widthPx) => {
    onStep({ done: 0, of: 1, doing: 'reading the pixels of its files' });
    return STORED.preview(hash, widthPx);
  };
  const host = fileHost(documents, { bytes: { ...STORED, preview }, font: readOriginalNow, ink });
  const screens = screensOf(documents.project);
  const steps = await reviewing({ documents, revision, screens }, host);
  const said = saying(onStep);
  return (await goingOn(steps, (progress) => said(progress).then(() => true)))!;
}
