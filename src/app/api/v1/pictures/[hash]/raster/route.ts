import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { packRaster } from '@/core/pixels/file';
import { pixels } from '@/formats/api/files';
import { raster } from '@/server/services/pictures';
import { bytesResponse } from '../../../../respond';
import { serve } from '../../../../serve';

const packed = promisify(gzip);

/** As the core writes them, packed by gzip: they lie next to ones like them. */
export const GET = serve(pixels, async ({ request, params }) => {
  const bytes = await packed(packRaster(await raster(params.hash, request.signal)));
  return bytesResponse(bytes, 'application/gzip', 'private, max-age=86400');
});
