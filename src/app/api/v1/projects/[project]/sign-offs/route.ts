import * as api from '@/formats/api/sign-offs';
import { listSignOffs } from '@/server/services/sign-offs';
import { serve } from '../../../../serve';

export const GET = serve(api.listSignOffs, async ({ params }) => ({
  json: listSignOffs(params.project),
}));
