import { Change } from '@/core/scene/change';
import { Problem } from '@/server/problem';
import { deleteProject, loadProject } from '@/server/services/projects';
import { saveChange } from '@/server/services/save';
import { readJson, respond } from '../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** The revision as an entity tag, as in RFC 9110 §8.8.3. */
const tagged = (body: object, revision: number) =>
  Response.json(body, { headers: { etag: `"${revision}"` } });

function seenRevision(request: Request): number {
  const match = /^"(\d+)"$/.exec(request.headers.get('if-match') ?? '');
  if (!match) throw new Problem(428, 'Say in If-Match which revision you saw, such as "3".');
  return Number(match[1]);
}

export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const stored = loadProject((await params).project);
    return tagged(stored, stored.revision);
  });

/** Saves one change on top of the revision in If-Match. */
export const PATCH = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    const saved = saveChange(project, seenRevision(request), await readJson(request, Change));
    return tagged(saved, saved.revision);
  });

export const DELETE = (request: Request, { params }: Context) =>
  respond(request, async () => {
    deleteProject((await params).project);
    return new Response(null, { status: 204 });
  });
