import { Readable } from 'node:stream';
import { jobResult } from '@/formats/api/jobs';
import { resultOf } from '@/server/jobs/jobs';
import { serve } from '../../../../../../serve';

export const GET = serve(jobResult, async ({ params }) => {
  const { open, bytes, name, mediaType } = resultOf(params.project, params.job);
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
