import { fetchFile } from '@/formats/api/files';
import { fetchPicture } from '@/server/importing/fetch';
import { keepFile } from '@/server/importing/picture';
import { requireProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const POST = serve(fetchFile, async ({ request, params: { project }, body }) => {
  requireProject(project);
  const { bytes, name } = await fetchPicture(body.address);
  return { json: { file: await keepFile(bytes, name, { project, signal: request.signal }), name } };
});
