import { reportHtml } from '@/formats/report/html';
import { makeReport } from '@/render/report/make';
import type { ReviewProgress } from '@/core/review/review';
import { lastSigned } from './against';
import { narrowed, open, type ProjectAsked } from './asked';
import { createProgress, write, type Io } from './check';

export interface ReportAsked extends ProjectAsked {
  /** a file; standard output when absent */
  out?: string;
}

/** Judges a project and writes a page of how it stands. @throws Refusal */
export async function report(asked: ReportAsked, io: Io): Promise<void> {
  const opened = await open(asked);
  const progress = createProgress(io);
  try {
    const wanted = narrowed(opened, asked);
    const say = (now: ReviewProgress) => {
      progress.say(now);
      return Promise.resolve();
    };
    const signed = lastSigned(opened, asked);
    const made = await makeReport(wanted, wanted.host, wanted.bytes.original, say, signed);
    progress.end();
    write(reportHtml(made), asked, io);
  } finally {
    opened.close();
  }
}
