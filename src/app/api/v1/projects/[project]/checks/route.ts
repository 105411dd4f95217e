import * as api from '@/formats/api/files';
import { checkZip } from '@/server/exports/folder-check';
import { loadProject } from '@/server/services/projects';
import { zipOnDisk } from '../../../../on-disk';
import { serve } from '../../../../serve';

export const POST = serve(api.checkFiles, async ({ request, params: { project }, query }) => {
  const { documents } = loadProject(project);
  const by = { project, signal: request.signal };
  return {
    json: await zipOnDisk(request, 'ZIP', (file) => checkZip(documents, file, query, by)),
  };
});
