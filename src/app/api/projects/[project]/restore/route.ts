import { restoreProject } from '@/server/services/projects';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Brings a deleted project back. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    restoreProject((await params).project);
    return new Response(null, { status: 204 });
  });
