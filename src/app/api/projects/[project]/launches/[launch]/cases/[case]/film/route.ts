import { filmFile } from '@/server/services/film';
import { bytesResponse, respond } from '../../../../../../../respond';
import { readFilm, type Context } from '../query';

/** The whole film: `as=webp` moves, `as=png` is a ZIP of its pictures. */
export const GET = (request: Request, context: Context) =>
  respond(request, async () => {
    const { asked, as } = await readFilm(request, context);
    const type = as === 'png' ? 'application/zip' : 'image/webp';
    return bytesResponse(await filmFile(asked, as), type, 'no-store');
  });
