import { drawScreenshot } from '@/formats/api/screenshots';
import { screenshotDifference } from '@/server/services/screenshots';
import { bytesResponse } from '../../../../../../respond';
import { serve } from '../../../../../../serve';

export const GET = serve(drawScreenshot, async ({ params: { project, screenshot } }) =>
  bytesResponse(
    await screenshotDifference(project, screenshot),
    'image/png',
    'private, max-age=31536000, immutable',
  ),
);
