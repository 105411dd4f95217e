import { importedFont } from '@/server/fonts/import';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ hash: string }>;
}

/** The bytes of an imported font, which never change; only ever read as a font. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { bytes, type } = await importedFont((await params).hash);
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': type,
        'cache-control': 'private, max-age=31536000, immutable',
        'content-disposition': 'attachment',
        'x-content-type-options': 'nosniff',
      },
    });
  });
