import * as api from '@/formats/api/files';
import { compareEncoded } from '@/server/services/encoded-file';
import { requireProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const POST = serve(api.compareEncoded, async ({ request, params: { project }, body }) => {
  requireProject(project);
  return { json: await compareEncoded(body, { project, signal: request.signal }) };
});
