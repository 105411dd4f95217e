import { filmWebp, filmZip } from '@/server/services/film';
import { bytesResponse, respond } from '../../../../../../../respond';
import { readFilm, type Context } from '../query';

/** The whole film: `as=webp` moves, `as=png` is a ZIP of its pictures. */
export const GET = (request: Request, context: Context) =>
  respond(request, async () => {
    const { asked, as } = await readFilm(request, context);
    if (as === 'png') return bytesResponse(await filmZip(asked), 'application/zip', 'no-store');
    return bytesResponse(await filmWebp(asked), 'image/webp', 'no-store');
  });
