import { pixels } from '@/formats/api/files';
import { packedRaster } from '@/server/services/pictures';
import { bytesResponse } from '../../../../respond';
import { serve } from '../../../../serve';

/** As the core writes them, packed by gzip: they lie next to ones like them. */
export const GET = serve(pixels, async ({ request, params }) =>
  bytesResponse(
    await packedRaster(params.hash, request.signal),
    'application/gzip',
    'private, max-age=86400',
  ),
);
