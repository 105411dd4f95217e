import { makeReport } from '@/render/report/make';
import { reportHtml } from '@/formats/report/html';
import { readOriginal, readOriginalNow } from '../blobs';
import { screensOf } from '../catalogue';
import { fileHost } from '../file-host';
import type { TaskProgress } from './progress';
import { STORED } from './read';
import type { AskedReview } from './review';
import { saying } from './steps';

/** A report of kept files, as HTML. @param onStep hears how far it is */
export async function report(
  { documents, revision, ink }: AskedReview,
  onStep: (progress: TaskProgress) => void,
): Promise<string> {
  const host = fileHost(documents, { bytes: STORED, font: readOriginalNow, ink });
  const screens = screensOf(documents.project);
  return reportHtml(await makeReport({ documents, revision, screens }, host, readOriginal, saying(onStep)));
}
