import type { Documents } from '@/core/project/documents';
import type { ReviewProgress } from '@/core/review/review';
import type { SignOff } from '@/core/review/sign-off';
import type { Beside } from '@/render/since';
import { comparing } from '@/render/since';
import { goingOn } from '@/render/review';
import { readOriginalNow } from '../blobs';
import { screensOf } from '../catalogue';
import { fileHost } from './file-host';
import { STORED } from './read';
import type { AskedReview } from './review';
import { saying } from './steps';

/** A project that is compared with a sign-off of it. */
export interface AskedSince extends AskedReview {
  signOff: SignOff;
}

/** @param onStep hears how far it is */
export async function since(
  { documents, revision, ink, signOff }: AskedSince,
  onStep: (progress: ReviewProgress) => void,
): Promise<Beside> {
  const hostOf = (of: Documents) => fileHost(of, { bytes: STORED, font: readOriginalNow, ink });
  onStep({ done: 0, of: 1, doing: 'reading the pixels of its files' });
  const now = { documents, revision, screens: screensOf(documents.project) };
  const hosts = { then: hostOf(signOff.documents), now: hostOf(documents) };
  const steps = await comparing(signOff, now, hosts);
  const said = saying(onStep);
  return (await goingOn(steps, (progress) => said(progress).then(() => true)))!;
}
