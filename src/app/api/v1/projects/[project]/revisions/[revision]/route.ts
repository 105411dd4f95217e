import { readRevision } from '@/formats/api/projects';
import { documentsAt } from '@/server/services/revisions';
import { serve } from '../../../../../serve';

export const GET = serve(readRevision, ({ params }) => ({
  json: documentsAt(params.project, Number(params.revision)),
}));
