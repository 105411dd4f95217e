import { readSchema } from '@/formats/api/door';
import { SCHEMAS } from '@/formats/schemas';
import { notFound } from '@/server/problem';
import { serve } from '../../../serve';

export const GET = serve(readSchema, ({ params }) => {
  const schema = SCHEMAS.get(params.name);
  if (!schema) throw notFound('This schema');
  return Response.json(schema(), { headers: { 'content-type': 'application/schema+json' } });
});
