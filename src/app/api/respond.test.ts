import { z } from 'zod';
import { Problem } from '@/server/problem';
import { readJson, respond } from './respond';

const host = '127.0.0.1:3000';
const request = (body?: string, headers: Record<string, string> = {}) =>
  new Request(`http://${host}/api/x`, {
    method: body === undefined ? 'GET' : 'POST',
    headers: { host, origin: `http://${host}`, ...headers },
    body,
  });
const answer = async (handler: () => Promise<Response> | Response, of = request()) => {
  const response = await respond(of, handler);
  return {
    status: response.status,
    headers: response.headers,
    body: (await response.json()) as Record<string, unknown>,
  };
};
const fails = (error: unknown) => () => {
  throw error;
};

describe('what a caller is told', () => {
  it('is the problem, when to come again, and what else there is to say', async () => {
    const busy = new Problem(503, 'Very much is being drawn.', { retryAfter: 5 });
    const { status, headers, body } = await answer(fails(busy));
    expect([status, headers.get('retry-after'), headers.get('content-type')]).toEqual([
      503,
      '5',
      'application/problem+json',
    ]);
    expect(body).toEqual({
      type: 'about:blank',
      title: 'Service Unavailable',
      status: 503,
      detail: 'Very much is being drawn.',
      retryAfter: 5,
    });
  });

  it.each([
    ['ENOSPC', 507, /full/],
    ['SQLITE_READONLY', 503, /cannot be written/],
    ['SQLITE_BUSY', 503, /locked/],
  ])('is what is wrong with the store for %s', async (code, status, words) => {
    const told = await answer(fails(Object.assign(new Error('low'), { code })));
    expect(told.status).toBe(status);
    expect(told.body.detail).toMatch(words);
  });
});

describe('a body', () => {
  const schema = z.object({ name: z.string().max(5) });
  const read = (body: string) => answer(async () => Response.json(await readJson(request(body), schema)));

  it.each([
    ['{"name":"a"}', 200, undefined],
    ['{"name":', 400, /not JSON/],
    ['{"name":7}', 422, /^name: has to be text, not a number\.$/],
    ['{}', 422, /^name: is missing; text belongs there\.$/],
    [`${'['.repeat(6000)}${']'.repeat(6000)}`, 422, /more than 64 levels deep/],
    [`{"name":${'{"a":'.repeat(100_000)}1${'}'.repeat(100_000)}}`, 422, /more than 64 levels deep/],
  ])('%#: is read, or refused with what would do', async (body, status, words) => {
    const told = await read(body);
    expect(told.status).toBe(status);
    if (words) expect(told.body.detail).toMatch(words);
  });

  it('of another site is not read at all', async () => {
    const foreign = request('{"name":"a"}', { 'sec-fetch-site': 'cross-site' });
    const { status } = await answer(() => Response.json({}), foreign);
    expect(status).toBe(403);
  });
});
