import * as api from '@/formats/api/files';
import { keepFile, tooLarge } from '@/server/importing/picture';
import { fileFacts } from '@/server/services/pictures';
import { loadProject, requireProject } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../../file-name';
import { readBody } from '../../../../respond';
import { serve } from '../../../../serve';

export const GET = serve(api.fileFacts, ({ params }) => ({
  json: fileFacts(loadProject(params.project).documents),
}));

export const POST = serve(api.addFile, async ({ request, params: { project }, query }) => {
  requireProject(project);
  const name = fileName(query.name);
  const bytes = await readBody(request, INPUT_LIMITS.pictureBytes, () => tooLarge(name));
  return { json: await keepFile(bytes, name, { project, signal: request.signal }) };
});
