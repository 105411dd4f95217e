import * as api from '@/formats/api/files';
import { loadProject } from '@/server/services/projects';
import { lostFiles } from '@/server/services/verify';
import { serve } from '../../../../serve';

export const GET = serve(api.lostFiles, async ({ params }) => ({
  json: { lost: await lostFiles(loadProject(params.project).documents) },
}));
