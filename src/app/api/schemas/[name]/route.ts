import { reviewJsonSchema } from '@/formats/review-json';
import { sheetJsonSchema } from '@/formats/sheet/all';
import { notFound } from '@/server/problem';
import { respond } from '../../respond';

interface Context {
  params: Promise<{ name: string }>;
}

const SCHEMAS: ReadonlyMap<string, () => object> = new Map([
  ['review', reviewJsonSchema],
  ['sheet', sheetJsonSchema],
]);

/** The JSON Schema of something that is written down as JSON. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const schema = SCHEMAS.get((await params).name);
    if (!schema) throw notFound('This schema');
    return Response.json(schema(), { headers: { 'content-type': 'application/schema+json' } });
  });
