import { z } from 'zod';
import { FIT_PRESETS } from '@/core/fit/presets';
import { Repeat } from '@/core/fit/rule';
import { describe, Problem } from '@/server/problem';
import { casePng, caseSvg } from '@/server/services/cases';
import { bytesResponse, respond } from '../../../../../../respond';

interface Context {
  params: Promise<{ project: string; scene: string; case: string }>;
}

const Query = z.object({
  scale: z.coerce.number().positive().max(16).optional(),
  glass: z.enum(['0', '1']).default('1'),
  layer: z.string().optional(),
  fit: z.enum(FIT_PRESETS).optional(),
  repeat: Repeat.optional(),
  as: z.enum(['png', 'svg']).default('png'),
});

/** One case as PNG, or as SVG with `as=svg`: `scale` in px per lu, `glass=0` without bars, corners and cutouts, `layer` with `fit`, `repeat` to try. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, scene, case: caseId } = await params;
    const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!query.success) throw new Problem(422, describe(query.error));
    const { scale, glass, layer, fit, repeat, as } = query.data;
    const asked = {
      projectId: project,
      sceneId: scene,
      caseId,
      scale,
      glass: glass === '1',
      signal: request.signal,
      trial: layer ? { layer, fit, repeat } : undefined,
    };
    if (as === 'png') return bytesResponse(await casePng(asked), 'image/png', 'no-store');
    return bytesResponse(Buffer.from(await caseSvg(asked)), 'image/svg+xml', 'no-store');
  });
