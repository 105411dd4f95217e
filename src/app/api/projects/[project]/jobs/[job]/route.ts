import { callOff, hearJob, jobOf } from '@/server/jobs/jobs';
import { isOver } from '@/formats/job';
import { respond } from '../../../../respond';

interface Context {
  params: Promise<{ project: string; job: string }>;
}

const NO_STORE = { 'cache-control': 'no-store' };

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
  return new Response(body, { headers: { ...NO_STORE, 'content-type': 'text/event-stream' } });
}

/** How a job stands: as JSON, or as events for as long as it goes on. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, job } = await params;
    const now = jobOf(project, job);
    const wantsEvents = request.headers.get('accept')?.includes('text/event-stream');
    return wantsEvents ? events(project, job, request.signal) : Response.json(now, { headers: NO_STORE });
  });

/** Calls a job off. */
export const DELETE = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project, job } = await params;
    return Response.json(callOff(project, job), { headers: NO_STORE });
  });
