import * as api from '@/formats/api/projects';
import { listRevisions } from '@/server/services/revisions';
import { serve } from '../../../../serve';

export const GET = serve(api.listRevisions, ({ params }) => ({ json: listRevisions(params.project) }));
