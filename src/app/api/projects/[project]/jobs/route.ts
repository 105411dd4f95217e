import { JobAsked } from '@/formats/job';
import { startJob } from '@/server/jobs/jobs';
import { readJson, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Takes on work that takes longer than a request may; answers with the address where it is told how it stands. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    const job = startJob(project, await readJson(request, JobAsked));
    const location = `/api/projects/${encodeURIComponent(project)}/jobs/${job.id}`;
    return Response.json(job, { status: 202, headers: { location, 'cache-control': 'no-store' } });
  });
