import { reviewJsonSchema } from '@/formats/review-json';
import { respond } from '../../respond';

/** The JSON Schema of a review. */
export const GET = (request: Request) =>
  respond(request, () =>
    Response.json(reviewJsonSchema(), { headers: { 'content-type': 'application/schema+json' } }),
  );
