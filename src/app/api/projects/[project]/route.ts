import { Change } from '@/core/patch/change';
import { Problem } from '@/server/problem';
import { deleteProject, loadProject, removeProject } from '@/server/services/projects';
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

/** Deletes a project, which can be brought back for some time; `for=good` removes one that is deleted. */
export const DELETE = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    if (new URL(request.url).searchParams.get('for') === 'good') removeProject(project);
    else deleteProject(project);
    return new Response(null, { status: 204 });
  });
