import { listScreens } from '@/formats/api/app';
import { targetOf } from '@/server/exports/target';
import { loadProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const GET = serve(listScreens, ({ params, query }) => ({
  json: [...targetOf(loadProject(params.project).documents.project, query.target).screens],
}));
