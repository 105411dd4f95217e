import * as api from '@/formats/api/screenshots';
import { holdAgain, removeScreenshot } from '@/server/services/screenshots';
import { done, serve } from '../../../../../serve';

export const DELETE = serve(api.removeScreenshot, ({ params: { project, screenshot } }) => {
  removeScreenshot(project, screenshot);
  return done();
});

export const POST = serve(
  api.holdScreenshotAgain,
  async ({ request, params: { project, screenshot }, body }) => ({
    json: await holdAgain(project, screenshot, body.ignored, { project, signal: request.signal }),
  }),
);
