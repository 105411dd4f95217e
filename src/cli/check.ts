import { writeFileSync } from 'node:fs';
import type { ReviewProgress } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import { saySince } from '@/core/since/say';
import { onlyWorse } from '@/core/since/worse';
import { allFindings } from '@/core/review/counts';
import { reviewFormat, type ReviewFormatId } from '@/formats/all';
import { goingOn, reviewing } from '@/render/review';
import { failsFor, type FailOn } from '@/formats/format';
import { narrowed, open, type ProjectAsked } from './asked';
import { against } from './against';
import { Refusal, type Opened } from './opened';
import { sinceLines } from './since-lines';
import { verdictLines } from './verdict';

export interface CheckAsked extends ProjectAsked {
  as?: ReviewFormatId;
  /** a file; standard output when absent */
  out?: string;
  /** the least outcome that ends with 1; `worse` where anything got worse since the sign-off. Without it warnings do, or that */
  failOn?: FailOn | 'worse';
  /** a sign-off that it is compared with: the last one, its id, or a file */
  against?: string;
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

/** Takes all steps, saying how far they are where somebody looks. */
async function through<T>(steps: Generator<ReviewProgress, T>, io: Io): Promise<T> {
  const progress = createProgress(io);
  const found = await goingOn(steps, (now) => {
    progress.say(now);
    return Promise.resolve(true);
  });
  progress.end();
  return found!;
}

const fails = (review: Review, failOn: FailOn) => allFindings(review).some((f) => failsFor(f, failOn));

async function checkAlone(asked: CheckAsked, opened: Opened, io: Io): Promise<0 | 1> {
  const { as, failOn = 'warn' } = asked;
  if (failOn === 'worse')
    throw new Refusal('Say with which sign-off it is compared: --against last --fail-on worse.');
  const wanted = narrowed(opened, asked);
  const review = await through(await reviewing(wanted, wanted.host), io);
  write(as ? reviewFormat(as).write(review) : `${verdictLines(review).join('\n')}\n`, asked, io);
  return fails(review, failOn) ? 1 : 0;
}

/** Formats of findings hold those that got worse, each of which is a failure where that is asked; JSON holds all that differs. */
async function checkAgainst(asked: CheckAsked, what: string, opened: Opened, io: Io): Promise<0 | 1> {
  const { as, failOn = 'worse' } = asked;
  const { review, since } = await through(await against(what, opened, narrowed(opened, asked), asked), io);
  const outcome = failOn === 'worse' ? 'warn' : failOn;
  const written = () => {
    if (!as) return `${sinceLines(since).join('\n')}\n`;
    if (as === 'json') return `${JSON.stringify(since, null, 2)}\n`;
    return reviewFormat(as).write(onlyWorse(review, since), outcome);
  };
  write(written(), asked, io);
  return (failOn === 'worse' ? saySince(since).isWorse : fails(review, failOn)) ? 1 : 0;
}

/**
 * Judges a project, or compares it with a sign-off, and says how.
 * @returns the exit code: 0 where nothing is wrong that counts, else 1
 */
export async function check(asked: CheckAsked, io: Io): Promise<0 | 1> {
  const opened = await open(asked);
  try {
    const { against: what } = asked;
    return await (what === undefined ? checkAlone(asked, opened, io) : checkAgainst(asked, what, opened, io));
  } finally {
    opened.close();
  }
}
