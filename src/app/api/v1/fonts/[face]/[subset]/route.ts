import { shippedFont } from '@/formats/api/files';
import { fontFile } from '@/server/fonts/fonts';
import { bytesResponse } from '../../../../respond';
import { serve } from '../../../../serve';

/** Open, because it is the same for everybody. */
export const GET = serve(shippedFont, ({ params: { face, subset } }) =>
  bytesResponse(fontFile(face, subset), 'font/woff', 'private, max-age=86400'),
);
