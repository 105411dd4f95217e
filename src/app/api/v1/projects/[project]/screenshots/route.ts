import * as api from '@/formats/api/screenshots';
import { holdAgain, listScreenshots } from '@/server/services/screenshots';
import { serve } from '../../../../serve';

export const GET = serve(api.listScreenshots, ({ params }) => ({ json: listScreenshots(params.project) }));

export const POST = serve(api.holdScreenshotAgain, async ({ params: { project }, body, request }) => ({
  json: await holdAgain(project, body, { project, signal: request.signal }),
}));
