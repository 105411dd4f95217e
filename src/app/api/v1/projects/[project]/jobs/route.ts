import { addressOf } from '@/formats/api/operation';
import * as api from '@/formats/api/jobs';
import { startJob } from '@/server/jobs/jobs';
import { serve } from '../../../../serve';

export const POST = serve(api.startJob, ({ params: { project }, body }) => {
  const job = startJob(project, body);
  return { json: job, headers: { location: addressOf(api.readJob, { project, job: job.id }) } };
});
