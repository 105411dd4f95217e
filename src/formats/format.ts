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
   * @param failOn the least outcome that a build fails for, of formats that have words for it
   */
  write: (review: Review, failOn?: FailOn) => string;
}
