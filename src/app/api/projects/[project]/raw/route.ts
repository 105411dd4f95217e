import { rawDocuments } from '@/server/services/projects';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** The documents as they are stored, as a file: also those that cannot be read. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    return new Response(rawDocuments(project), {
      headers: {
        'content-type': 'application/json',
        'content-disposition': 'attachment; filename="documents.json"',
        'cache-control': 'no-store',
      },
    });
  });
