import type { Review, ReviewFinding } from '@/core/review/schema';

/** The least outcome for which a build fails. */
export type FailOn = 'fail' | 'warn';

/** Whether a build fails for a finding. */
export const failsFor = ({ outcome }: Pick<ReviewFinding, 'outcome'>, failOn: FailOn): boolean =>
  outcome === 'fail' || outcome === failOn;

/** One way to write a review down. */
export interface ReviewFormat {
  id: string;
  /** what it is, and what it is good for */
  label: string;
  /** the same in a word, for a row of several */
  word: string;
  mediaType: string;
  /** with its dot */
  extension: string;
  /**
   * The same text for the same review.
   * @param from the least outcome that counts as a failure, of formats that count them: those that fail, as everywhere else,
   * when absent
   */
  write: (review: Review, from?: FailOn) => string;
}
