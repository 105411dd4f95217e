import type { ReviewFormat } from './format';
import { reviewCsv } from './review-csv';
import { reviewJson } from './review-json';
import { reviewJunit } from './review-junit';
import { reviewSarif } from './review-sarif';

/** Every way to write a review down. */
export const REVIEW_FORMATS = [
  reviewCsv,
  reviewJson,
  reviewSarif,
  reviewJunit,
] as const satisfies readonly ReviewFormat[];

export const REVIEW_FORMAT_IDS = ['csv', 'json', 'sarif', 'junit'] as const;
export type ReviewFormatId = (typeof REVIEW_FORMAT_IDS)[number];

export const reviewFormat = (id: ReviewFormatId): ReviewFormat => REVIEW_FORMATS.find((f) => f.id === id)!;
