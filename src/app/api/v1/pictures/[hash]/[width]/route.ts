import * as api from '@/formats/api/files';
import { preview } from '@/server/services/pictures';
import { bytesResponse } from '../../../../respond';
import { serve } from '../../../../serve';

/** Its address holds its hash, so it never changes. */
export const GET = serve(api.preview, async ({ params: { hash, width } }) =>
  bytesResponse(await preview(hash, Number(width)), 'image/webp', 'private, max-age=31536000, immutable'),
);
