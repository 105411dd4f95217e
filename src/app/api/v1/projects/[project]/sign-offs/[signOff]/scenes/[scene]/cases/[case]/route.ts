import { drawSince } from '@/formats/api/sign-offs';
import { caseSince } from '@/server/services/since';
import { bytesResponse } from '../../../../../../../../../respond';
import { serve } from '../../../../../../../../../serve';

export const GET = serve(drawSince, async ({ request, params, query }) => {
  const png = await caseSince({
    projectId: params.project,
    signOffId: params.signOff,
    sceneId: params.scene,
    caseId: params.case,
    ...query,
    signal: request.signal,
  });
  return bytesResponse(png, 'image/png', 'no-store');
});
