import * as api from '@/formats/api/projects';
import { restoreProject } from '@/server/services/projects';
import { done, serve } from '../../../../serve';

export const POST = serve(api.restoreProject, ({ params }) => {
  restoreProject(params.project);
  return done();
});
