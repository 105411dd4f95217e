import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { packRaster } from '@/core/pixels/file';
import { raster } from '@/server/services/pictures';
import { bytesResponse, respond } from '../../../respond';

interface Context {
  params: Promise<{ hash: string }>;
}

const packed = promisify(gzip);

/** The pixels of a small preview of a file, as the core writes them, packed by gzip: they lie next to ones like them. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { hash } = await params;
    const bytes = await packed(packRaster(await raster(hash, request.signal)));
    return bytesResponse(bytes, 'application/gzip', 'private, max-age=86400');
  });
