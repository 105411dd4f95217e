import { unshareScreen } from '@/formats/api/shared';
import { unshare } from '@/server/services/shared-screens';
import { done, serve } from '../../../serve';

export const DELETE = serve(unshareScreen, ({ params }) => {
  unshare(params.screen);
  return done();
});
