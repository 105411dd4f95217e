import * as api from '@/formats/api/files';
import { deriveFile } from '@/server/importing/derive';
import { requireProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const POST = serve(api.deriveFile, async ({ request, params: { project }, body }) => {
  requireProject(project);
  return { json: await deriveFile(body, { project, signal: request.signal }) };
});
