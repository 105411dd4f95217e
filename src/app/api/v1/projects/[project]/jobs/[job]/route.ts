import { callOffJob, readJob } from '@/formats/api/jobs';
import { callOff, hearJob, jobOf } from '@/server/jobs/jobs';
import { isOver } from '@/formats/job';
import { serve } from '../../../../../serve';

/** How a job stands, again whenever that changes, until it is over. Source: HTML, “Server-sent events”. */
function events(project: string, id: string, signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = () => {
        const job = jobOf(project, id);
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(job)}\n\n`));
        if (!isOver(job)) return;
        end();
        controller.close();
      };
      end = hearJob(id, say);
      signal.addEventListener('abort', () => end());
      say();
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: { 'cache-control': 'no-store', 'content-type': 'text/event-stream' },
  });
}

export const GET = serve(readJob, ({ request, params: { project, job } }) => {
  const now = jobOf(project, job);
  const wantsEvents = request.headers.get('accept')?.includes('text/event-stream');
  return wantsEvents ? events(project, job, request.signal) : { json: now };
});

export const DELETE = serve(callOffJob, ({ params: { project, job } }) => ({ json: callOff(project, job) }));
