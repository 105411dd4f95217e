import { fontFile } from '@/server/fonts/fonts';
import { bytesResponse, respond } from '../../../respond';

interface Context {
  params: Promise<{ face: string; subset: string }>;
}

/** A part of a shipped font; open, because it is the same for everybody. */
export const GET = (request: Request, { params }: Context) =>
  respond(
    request,
    async () => {
      const { face, subset } = await params;
      return bytesResponse(fontFile(face, subset), 'font/woff', 'private, max-age=86400');
    },
    true,
  );
