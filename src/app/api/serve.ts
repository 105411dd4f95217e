import type { AnswerOf, Operation, ParamsOf, QueryOf, ReadBodyOf } from '@/formats/api/operation';
import { untilFree } from '@/server/db/client';
import { describe, Problem } from '@/server/problem';
import { readJson, respond } from './respond';

/** What somebody asks for, read as its operation says. */
export interface Asked<O extends Operation> {
  request: Request;
  params: ParamsOf<O>;
  query: QueryOf<O>;
  body: ReadBodyOf<O>;
}

/** What is sent back: JSON of the schema of the operation, which is checked; or a response as it is. */
type Handled<O extends Operation> = { json: AnswerOf<O>; headers?: Record<string, string> } | Response;

interface Context {
  params: Promise<Record<string, string>>;
}

/** @throws Problem 422 naming the field */
function queryOf(request: Request, schema: Operation['query']): unknown {
  const query = schema?.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (query?.success === false) throw new Problem(422, describe(query.error));
  return query?.data ?? {};
}

/** @throws Error when it is not what the operation says */
function answered({ id, answer }: Operation, json: unknown, headers: Record<string, string> = {}): Response {
  if (!('json' in answer)) throw new Error(`${id} sends no JSON back.`);
  const checked = answer.json.safeParse(json);
  if (!checked.success)
    throw new Error(`The answer of ${id} is not as it is described: ${describe(checked.error)}`);
  const { status } = answer;
  return Response.json(checked.data, { status, headers: { 'cache-control': 'no-store', ...headers } });
}

/**
 * An operation as the handler of a route: what is asked for and what is sent back are both held against its schemas.
 * @param first looks at a request before its body is read @throws what it throws
 */
export const serve =
  <O extends Operation>(
    operation: O,
    handle: (asked: Asked<O>) => Handled<O> | Promise<Handled<O>>,
    first: (request: Request) => unknown = () => {},
  ) =>
  (request: Request, context: Context): Promise<Response> =>
    respond(
      request,
      async () => {
        const { query, body }: Operation = operation;
        first(request);
        const asked = {
          request,
          params: await context.params,
          query: queryOf(request, query),
          body: body && (await readJson(request, body)),
        } as Asked<O>;
        // What reads is never kept from it.
        if (operation.method !== 'GET') await untilFree();
        const sent = await handle(asked);
        return sent instanceof Response ? sent : answered(operation, sent.json, sent.headers);
      },
      operation.open,
    );

/** That it is done, and nothing more. */
export const done = (headers: Record<string, string> = {}) => new Response(null, { status: 204, headers });
