import { packRaster } from '@/core/pixels/file';
import { raster } from '@/server/services/pictures';
import { packedResponse, respond } from '../../../respond';

interface Context {
  params: Promise<{ hash: string }>;
}

/** The pixels of a small preview of a file, as the core packs them. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { hash } = await params;
    const bytes = packRaster(await raster(hash, request.signal));
    return packedResponse(request, bytes, 'application/octet-stream', 'private, max-age=86400');
  });
