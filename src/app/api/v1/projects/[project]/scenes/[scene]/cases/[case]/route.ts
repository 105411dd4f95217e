import { drawCase } from '@/formats/api/cases';
import { casePng, caseSvg } from '@/server/services/cases';
import { bytesResponse } from '../../../../../../../respond';
import { serve } from '../../../../../../../serve';

export const GET = serve(drawCase, async ({ request, params, query }) => {
  const { scale, glass, layer, fit, repeat, as } = query;
  const asked = {
    projectId: params.project,
    sceneId: params.scene,
    caseId: params.case,
    scale,
    glass: glass === '1',
    signal: request.signal,
    trial: layer ? { layer, fit, repeat } : undefined,
  };
  if (as === 'png') return bytesResponse(await casePng(asked), 'image/png', 'no-store');
  return bytesResponse(Buffer.from(await caseSvg(asked)), 'image/svg+xml', 'no-store');
});
