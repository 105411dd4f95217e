import { fileFacts } from '@/server/services/pictures';
import { loadProject } from '@/server/services/projects';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Of which type and how large the files of a project are, by their hash. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    return Response.json(fileFacts(loadProject(project).documents), {
      headers: { 'cache-control': 'no-store' },
    });
  });
