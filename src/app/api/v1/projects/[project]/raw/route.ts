import { rawProject } from '@/formats/api/projects';
import { rawDocuments } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const GET = serve(
  rawProject,
  ({ params }) =>
    new Response(rawDocuments(params.project), {
      headers: {
        'content-type': 'application/json',
        'content-disposition': 'attachment; filename="documents.json"',
        'cache-control': 'no-store',
      },
    }),
);
