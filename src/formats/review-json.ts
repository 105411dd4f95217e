import { z } from 'zod';
import { Review } from '@/core/review/schema';
import type { ReviewFormat } from './format';

export const reviewJson = {
  id: 'json',
  label: 'The whole review as JSON, for programs',
  word: 'JSON',
  mediaType: 'application/json',
  extension: '.json',
  write: (review) => `${JSON.stringify(review, null, 1)}\n`,
} as const satisfies ReviewFormat;

/** The JSON Schema of a review that is written down. Source: JSON Schema, draft 2020-12. */
export const reviewJsonSchema = (): object => z.toJSONSchema(Review, { target: 'draft-2020-12' });
