import { writeFileSync } from 'node:fs';
import { worse, type Outcome } from '@/core/measure/judge';
import type { ReviewProgress } from '@/core/review/review';
import { allFindings } from '@/core/review/counts';
import type { Review } from '@/core/review/schema';
import { reviewFormat, type ReviewFormatId } from '@/formats/all';
import { goingOn, reviewing } from '@/render/review';
import { openFolder } from './folder';
import { Refusal, type Opened } from './opened';
import { openStored } from './store';
import { verdictLines } from './verdict';

export interface CheckAsked {
  /** a folder of a project; of a store when absent */
  folder?: string;
  store?: string;
  project?: string;
  as?: ReviewFormatId;
  /** a file; standard output when absent */
  out?: string;
  /** the least outcome that ends with 1 */
  failOn: 'fail' | 'warn';
}

/** @throws Refusal where neither a folder nor a store is named, or both */
function open({ folder, store, project }: CheckAsked): Opened {
  if (folder !== undefined && store === undefined) return openFolder(folder);
  if (folder === undefined && store !== undefined) return openStored(store, project);
  throw new Refusal('Name a folder that coulee export has written, or a store: --store DIR --project NAME.');
}

/** Where a command writes to. */
export interface Io {
  out: (text: string) => void;
  err: (text: string) => void;
  /** whether somebody looks at what goes wrong, and how far it is */
  isWatched?: boolean;
}

/** How far it is, on a line that is written over; nothing where nobody looks. */
function createProgress({ err, isWatched }: Io) {
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

/** The worst that is found and not accepted. */
const worstOf = (review: Review): Outcome =>
  allFindings(review).reduce<Outcome>((worst, { outcome }) => worse(worst, outcome), 'clear');

/** Judges a project and says how. @returns the exit code: 0 where nothing is wrong that counts, else 1 */
export async function check(asked: CheckAsked, io: Io): Promise<0 | 1> {
  const opened = open(asked);
  const progress = createProgress(io);
  try {
    const steps = await reviewing(opened, opened.host);
    const review = (await goingOn(steps, (now) => {
      progress.say(now);
      return Promise.resolve(true);
    }))!;
    progress.end();
    const text = asked.as ? reviewFormat(asked.as).write(review) : `${verdictLines(review).join('\n')}\n`;
    if (asked.out === undefined) io.out(text);
    else writeFileSync(asked.out, text);
    const worst = worstOf(review);
    return worst === 'fail' || worst === asked.failOn ? 1 : 0;
  } finally {
    opened.close();
  }
}
