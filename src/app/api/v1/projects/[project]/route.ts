import { changeProject, deleteProject, readProject } from '@/formats/api/projects';
import { Problem } from '@/server/problem';
import { switchOff } from '@/server/real-screen/real-screens';
import * as projects from '@/server/services/projects';
import { saveChange } from '@/server/services/save';
import { done, serve } from '../../../serve';

/** The revision as an entity tag, as in RFC 9110 §8.8.3. */
const tagged = <T extends { revision: number }>(json: T) => ({
  json,
  headers: { etag: `"${json.revision}"` },
});

function seenRevision(request: Request): number {
  const match = /^"(\d+)"$/.exec(request.headers.get('if-match') ?? '');
  if (!match) throw new Problem(428, 'Say in If-Match which revision you saw, such as "3".');
  return Number(match[1]);
}

export const GET = serve(readProject, ({ params }) => tagged(projects.loadProject(params.project)));

export const PATCH = serve(
  changeProject,
  ({ request, params, body }) => tagged(saveChange(params.project, seenRevision(request), body)),
  seenRevision,
);

export const DELETE = serve(deleteProject, ({ params, query }) => {
  if (query.for === 'good') projects.removeProject(params.project);
  else projects.deleteProject(params.project);
  // What is gone is shown nowhere any more.
  switchOff(params.project);
  return done();
});
