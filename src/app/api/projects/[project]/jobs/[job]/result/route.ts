import { Readable } from 'node:stream';
import { resultOf } from '@/server/jobs/jobs';
import { respond } from '../../../../../respond';

interface Context {
  params: Promise<{ project: string; job: string }>;
}

/** The file that a job has made. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, job } = await params;
    const { open, bytes, name, mediaType } = resultOf(project, job);
    return new Response(Readable.toWeb(await open()) as ReadableStream, {
      headers: {
        'content-type': mediaType,
        'content-length': String(bytes),
        'cache-control': 'no-store',
        // Source: RFC 6266, §5, with the name in UTF-8.
        'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  });
