import type { Outcome } from '../measure/judge';
import { allFindings, foundCounts } from './counts';
import type { Review, ReviewFinding } from './schema';

/** What is wrong, with what it is of: “Harbour has a keep area cut off”. */
export function sayWhat({
  source,
  subject,
  in: of,
  word,
}: Pick<ReviewFinding, 'source' | 'subject' | 'in' | 'word'>): string {
  if (source === 'files') return `${of.name}, ${subject.name}: ${word}`;
  return source === 'launch' ? `${word}, at ${subject.name}` : `${subject.name} ${word}`;
}

const countFindings = (n: number) => (n === 1 ? '1 finding' : `${n} findings`);

/** The project in one line: whether anything keeps it from being shipped. */
export function sayVerdict(review: Review): { text: string; outcome: Outcome } {
  const { fail, warn } = foundCounts(allFindings(review));
  if (fail > 0)
    return { text: `Not yet: ${countFindings(fail)} fail${fail === 1 ? 's' : ''}`, outcome: 'fail' };
  if (warn > 0)
    return { text: `Ready, with ${warn === 1 ? '1 warning' : `${warn} warnings`}`, outcome: 'warn' };
  return { text: 'Ready: nothing is wrong', outcome: 'clear' };
}

/** The gravest finding that is open, of those in the order of a review; none where none is. */
export const worstOpen = (findings: readonly ReviewFinding[]): ReviewFinding | undefined =>
  findings.find((f) => f.outcome === 'fail') ?? findings.find((f) => f.outcome === 'warn');
