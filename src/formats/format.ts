import type { Review } from '@/core/review/schema';

/** One way to write a review down. */
export interface ReviewFormat {
  id: string;
  /** what it is, and what it is good for */
  label: string;
  mediaType: string;
  /** with its dot */
  extension: string;
  /** the same text for the same review */
  write: (review: Review) => string;
}
