import { listRevisions } from '@/server/services/revisions';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** The latest revisions, newest first. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => Response.json(listRevisions((await params).project)));
