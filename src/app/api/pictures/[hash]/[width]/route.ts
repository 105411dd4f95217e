import { preview } from '@/server/services/pictures';
import { bytesResponse, respond } from '../../../respond';

interface Context {
  params: Promise<{ hash: string; width: string }>;
}

/** A preview of a file; its address holds its hash, so it never changes. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { hash, width } = await params;
    const bytes = await preview(hash, Number(width));
    return bytesResponse(bytes, 'image/webp', 'private, max-age=31536000, immutable');
  });
