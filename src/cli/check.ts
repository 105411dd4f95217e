import { writeFileSync } from 'node:fs';
import type { ReviewProgress } from '@/core/review/review';
import { allFindings } from '@/core/review/counts';
import { reviewFormat, type ReviewFormatId } from '@/formats/all';
import { goingOn, reviewing } from '@/render/review';
import { failsFor, type FailOn } from '@/formats/format';
import { narrowed, open, type ProjectAsked } from './asked';
import { verdictLines } from './verdict';

export interface CheckAsked extends ProjectAsked {
  as?: ReviewFormatId;
  /** a file; standard output when absent */
  out?: string;
  /** the least outcome that ends with 1 */
  failOn: FailOn;
}

/** Where a command writes to. */
export interface Io {
  out: (text: string) => void;
  err: (text: string) => void;
  /** whether somebody looks at what goes wrong, and how far it is */
  isWatched?: boolean;
}

/** How far it is, on a line that is written over; nothing where nobody looks. */
export function createProgress({ err, isWatched }: Io) {
  const CLEAR = '\r\u001B[2K';
  return {
    say: ({ done, of, doing }: ReviewProgress) => {
      if (isWatched) err(`${CLEAR}${Math.round((100 * done) / Math.max(1, of))} %  ${doing}`);
    },
    end: () => {
      if (isWatched) err(CLEAR);
    },
  };
}

/** What a command writes: into a file where one is named. */
export function write(text: string | Buffer, { out }: { out?: string }, io: Io): void {
  if (out === undefined) io.out(text.toString());
  else writeFileSync(out, text);
}

/** Judges a project and says how. @returns the exit code: 0 where nothing is wrong that counts, else 1 */
export async function check(asked: CheckAsked, io: Io): Promise<0 | 1> {
  const opened = await open(asked);
  const progress = createProgress(io);
  try {
    const wanted = narrowed(opened, asked);
    const steps = await reviewing(wanted, wanted.host);
    const review = (await goingOn(steps, (now) => {
      progress.say(now);
      return Promise.resolve(true);
    }))!;
    progress.end();
    const { as, failOn } = asked;
    write(as ? reviewFormat(as).write(review, failOn) : `${verdictLines(review).join('\n')}\n`, asked, io);
    return allFindings(review).some((f) => failsFor(f, failOn)) ? 1 : 0;
  } finally {
    opened.close();
  }
}
