import { statistics } from '@/server/services/pictures';
import { respond } from '../../../respond';

interface Context {
  params: Promise<{ hash: string }>;
}

/** What the pixels of a file say; its address holds its hash, but how they are read may change with a version. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { hash } = await params;
    return Response.json(await statistics(hash), { headers: { 'cache-control': 'private, max-age=86400' } });
  });
