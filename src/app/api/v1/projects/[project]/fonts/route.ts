import { addFont } from '@/formats/api/files';
import { fontTooLarge, keepFont } from '@/server/importing/font';
import { requireProject } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../../file-name';
import { readBody } from '../../../../respond';
import { serve } from '../../../../serve';

export const POST = serve(addFont, async ({ request, params, query }) => {
  requireProject(params.project);
  const name = fileName(query.name);
  const bytes = await readBody(request, INPUT_LIMITS.fontBytes, () => fontTooLarge(name));
  return { json: await keepFont(bytes, name, { project: params.project, signal: request.signal }) };
});
