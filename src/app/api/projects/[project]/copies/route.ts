import { duplicateProject } from '@/server/services/projects';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** A copy of the project under a new id. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { documents, revision } = duplicateProject((await params).project);
    return Response.json({ id: documents.project.id, revision }, { status: 201 });
  });
