import pino from 'pino';
import { Problem } from '@/server/problem';

const log = pino({ name: 'coulee', level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2));

/** Runs a handler; what the caller can put right is answered as RFC 9457 problem JSON, the rest is logged. */
export async function respond(handler: () => Promise<Response> | Response): Promise<Response> {
  try {
    return await handler();
  } catch (error) {
    const known = error instanceof Problem;
    if (!known) log.error(error);
    const status = known ? error.status : 500;
    const title = known ? error.message : 'Something went wrong on the server; nothing was changed.';
    return Response.json(
      { ...(known ? error.more : {}), status, title },
      { status, headers: { 'content-type': 'application/problem+json' } },
    );
  }
}

/** Bytes as a body; the copy gives them a plain buffer of their own. */
export const bytesResponse = (bytes: Buffer, type: string, cache: string) =>
  new Response(new Uint8Array(bytes), { headers: { 'content-type': type, 'cache-control': cache } });
