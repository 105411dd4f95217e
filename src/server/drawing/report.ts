import type { Documents } from '@/core/project/documents';
import type { SignOff } from '@/core/review/sign-off';
import { makeReport } from '@/render/report/make';
import { reportHtml } from '@/formats/report/html';
import { readOriginal, readOriginalNow } from '../blobs';
import { screensOf } from '../catalogue';
import { fileHost } from './file-host';
import type { TaskProgress } from '../progress';
import { STORED } from './read';
import type { AskedReview } from './review';
import { saying } from './steps';

/** A report of kept files, as HTML. @param onStep hears how far it is */
export async function report(
  { documents, revision, ink, signOff }: AskedReview & { signOff: SignOff | null },
  onStep: (progress: TaskProgress) => void,
): Promise<string> {
  const hostOf = (of: Documents) => fileHost(of, { bytes: STORED, font: readOriginalNow, ink });
  const wanted = { documents, revision, screens: screensOf(documents.project) };
  const signed = signOff && { signOff, host: hostOf(signOff.documents) };
  return reportHtml(await makeReport(wanted, hostOf(documents), readOriginal, saying(onStep), signed));
}
