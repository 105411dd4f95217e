import { documentsAt } from '@/server/services/revisions';
import { respond } from '../../../../respond';

interface Context {
  params: Promise<{ project: string; revision: string }>;
}

/** The documents as they were at a revision. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, revision } = await params;
    return Response.json(documentsAt(project, Number(revision)));
  });
