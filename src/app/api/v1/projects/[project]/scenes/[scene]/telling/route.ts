import { readTelling } from '@/formats/api/cases';
import { tellingOfScene } from '@/server/services/telling';
import { serve } from '../../../../../../serve';

export const GET = serve(readTelling, async ({ params }) => ({
  json: await tellingOfScene(params.project, params.scene),
}));
