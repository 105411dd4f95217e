import { STATUS_CODES } from 'node:http';
import type { z } from 'zod';
import { PROBLEM_TYPE, type ProblemJson } from '@/formats/api/problem';
import { checkAccess } from '@/server/access';
import { log } from '@/server/log';
import { describe, Problem, UNKNOWN_FAULT } from '@/server/problem';
import { INPUT_LIMITS } from '@/server/settings';
import { storeFault } from '@/server/store-faults';

/** What went wrong, as it is sent. Source: RFC 9457, §4.2.1 for what the title says. */
export const problemResponse = (
  status: number,
  detail: string,
  more: Readonly<Record<string, unknown>> = {},
  headers: Readonly<Record<string, string>> = {},
): Response => {
  const title = STATUS_CODES[status] ?? 'Client closed the request';
  const body: ProblemJson = { ...more, type: 'about:blank', title, status, detail };
  return Response.json(body, {
    status,
    headers: { 'content-type': PROBLEM_TYPE, 'cache-control': 'no-store', ...headers },
  });
};

/**
 * Runs a handler behind the doors; what the caller can put right is answered as RFC 9457 problem JSON, the rest is
 * logged and says no more than that it went wrong.
 * @param open whether the passphrase is not asked for
 */
export async function respond(
  request: Request,
  handler: () => Promise<Response> | Response,
  open = false,
): Promise<Response> {
  try {
    checkAccess(request, open);
    return await handler();
  } catch (error) {
    const fault = error instanceof Problem ? null : storeFault(error);
    if (!(error instanceof Problem)) log.error(error);
    const known = error instanceof Problem ? error : fault;
    const status = known?.status ?? 500;
    const { retryAfter } = known?.more ?? {};
    return problemResponse(status, known?.message ?? UNKNOWN_FAULT, known?.more, {
      ...(retryAfter === undefined ? {} : { 'retry-after': String(retryAfter) }),
    });
  }
}

/** Bytes as a body; the copy gives them a plain buffer of their own. */
export const bytesResponse = (bytes: Uint8Array, type: string, cache: string) =>
  new Response(new Uint8Array(bytes), { headers: { 'content-type': type, 'cache-control': cache } });

/** The whole body, read no further than the limit. @throws the problem that is given when it is larger */
export async function readBody(request: Request, limit: number, tooLarge: () => Problem): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let length = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const part = await reader?.read();
    if (!part || part.done) return Buffer.concat(chunks);
    length += part.value.length;
    if (length > limit) {
      await reader?.cancel();
      throw tooLarge();
    }
    chunks.push(part.value);
  }
}

/** Nothing that is kept goes this deep; what does could not be compared without running out of room. */
const DEEPEST = 64;

/** @throws Problem 422 for what is nested too deep */
function refuseDeep(json: unknown): void {
  let level: unknown[] = [json];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST)
      throw new Problem(
        422,
        `The body of the request goes more than ${DEEPEST} levels deep; nothing that is kept does.`,
      );
    level = level.flatMap((v) => (typeof v === 'object' && v !== null ? Object.values(v) : []));
  }
}

/** A JSON body of a schema. @throws Problem 413, 400 for what is not JSON, 422 naming the field */
export async function readJson<T extends z.ZodType>(request: Request, schema: T): Promise<z.infer<T>> {
  const limit = INPUT_LIMITS.documentBytes;
  const tooLarge = () =>
    new Problem(413, `The request is larger than ${limit / 1024 / 1024} MB, which is the limit.`);
  const text = (await readBody(request, limit, tooLarge)).toString('utf8');
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new Problem(400, 'The body of the request is not JSON.');
  }
  refuseDeep(json);
  const parsed = schema.safeParse(json);
  if (!parsed.success) throw new Problem(422, describe(parsed.error));
  return parsed.data;
}
