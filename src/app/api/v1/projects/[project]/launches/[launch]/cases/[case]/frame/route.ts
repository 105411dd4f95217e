import { drawFrame } from '@/formats/api/cases';
import { framePng } from '@/server/services/film';
import { bytesResponse } from '../../../../../../../../respond';
import { serve } from '../../../../../../../../serve';

export const GET = serve(drawFrame, async ({ request, params, query: { t, ...how } }) => {
  const { project: projectId, launch: launchId, case: caseId } = params;
  const asked = { projectId, launchId, caseId, ...how, signal: request.signal };
  return bytesResponse(await framePng(asked, t), 'image/png', 'no-store');
});
