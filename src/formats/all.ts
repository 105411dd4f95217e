import type { ReviewFormat } from './format';
import { reviewCsv } from './review-csv';
import { reviewJson } from './review-json';

/** Every way to write a review down. */
export const REVIEW_FORMATS = [reviewJson, reviewCsv] as const satisfies readonly ReviewFormat[];

export const REVIEW_FORMAT_IDS = ['json', 'csv'] as const;
export type ReviewFormatId = (typeof REVIEW_FORMAT_IDS)[number];

export const reviewFormat = (id: ReviewFormatId): ReviewFormat => REVIEW_FORMATS.find((f) => f.id === id)!;
