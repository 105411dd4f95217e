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

export type ReviewFormatId = (typeof REVIEW_FORMATS)[number]['id'];
export const REVIEW_FORMAT_IDS: readonly ReviewFormatId[] = REVIEW_FORMATS.map((f) => f.id);

export const reviewFormat = (id: ReviewFormatId): ReviewFormat => REVIEW_FORMATS.find((f) => f.id === id)!;
