import * as api from '@/formats/api/real-screens';
import { letRealScreenIn, realScreens, switchOff } from '@/server/real-screen/real-screens';
import { done, serve } from '../../../../serve';

export const GET = serve(api.readRealScreens, ({ params }) => ({ json: realScreens(params.project) }));

export const POST = serve(api.letRealScreenIn, async ({ params, body }) => ({
  json: await letRealScreenIn(params.project, body.network),
}));

export const DELETE = serve(api.switchRealScreensOff, ({ params }) => {
  switchOff(params.project);
  return done();
});
