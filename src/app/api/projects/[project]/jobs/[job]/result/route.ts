import { resultOf } from '@/server/jobs/jobs';
import { bytesResponse, respond } from '../../../../../respond';

interface Context {
  params: Promise<{ project: string; job: string }>;
}

/** The file that a job has made. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, job } = await params;
    const { bytes, name, mediaType } = await resultOf(project, job);
    const response = bytesResponse(bytes, mediaType, 'no-store');
    // Source: RFC 6266, §5, with the name in UTF-8.
    response.headers.set('content-disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`);
    return response;
  });
