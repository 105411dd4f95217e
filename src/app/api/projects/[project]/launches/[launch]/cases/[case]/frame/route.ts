import { framePng } from '@/server/services/film';
import { bytesResponse, respond } from '../../../../../../../respond';
import { readFilm, type Context } from '../query';

/** What is on the screen at `t` ms from the tap, as PNG. */
export const GET = (request: Request, context: Context) =>
  respond(request, async () => {
    const { asked, t } = await readFilm(request, context);
    return bytesResponse(await framePng(asked, t), 'image/png', 'no-store');
  });
