import * as api from '@/formats/api/files';
import { importedFont } from '@/server/importing/font';
import { serve } from '../../../../serve';

/** Its bytes never change; they are only ever read as a font. */
export const GET = serve(api.importedFont, async ({ params }) => {
  const { bytes, type } = await importedFont(params.hash);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'content-disposition': 'attachment',
      'x-content-type-options': 'nosniff',
    },
  });
});
