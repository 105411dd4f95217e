import { readdirSync, readFileSync } from 'node:fs';
import { z } from 'zod';
import { OPERATIONS } from '@/formats/api/all';
import type { Operation } from '@/formats/api/operation';
import { done, serve } from './serve';

const operation = {
  id: 'count',
  group: 'Test',
  method: 'POST',
  path: '/api/v1/{thing}/count',
  about: 'Counts.',
  query: z.object({ by: z.coerce.number().int().positive().default(1) }),
  body: z.object({ from: z.number() }),
  answer: { status: 201, about: 'The next', json: z.object({ next: z.number() }) },
} as const satisfies Operation;

const asked = (search: string, body: unknown) =>
  new Request(`http://127.0.0.1:3000/api/v1/cake/count${search}`, {
    method: 'POST',
    headers: { host: '127.0.0.1:3000', origin: 'http://127.0.0.1:3000' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
const context = { params: Promise.resolve({ thing: 'cake' }) };

const count = serve(operation, ({ params, query, body }) => ({
  json: { next: body.from + query.by, ...({ secret: params.thing } as object) },
  headers: { 'x-thing': params.thing },
}));

async function told(response: Response | Promise<Response>) {
  const { status, headers } = await response;
  const text = await (await response).text();
  return { status, type: headers.get('content-type'), body: text ? (JSON.parse(text) as unknown) : null };
}

describe('an operation that is served', () => {
  it('reads what is asked for by its schemas, and sends back no more than it describes', async () => {
    const response = await count(asked('?by=2', { from: 3 }), context);
    expect(response.headers.get('x-thing')).toBe('cake');
    expect(await told(response)).toMatchObject({ status: 201, body: { next: 5 } });
    const plain = await told(count(asked('', { from: 3 }), context));
    expect(plain.body).toEqual({ next: 4 });
  });

  it('refuses what is not as it says, and names the field', async () => {
    for (const [search, body, status, words] of [
      ['?by=none', { from: 1 }, 422, /^by: /],
      ['', { from: 'one' }, 422, /^from: /],
      ['', '{', 400, /not JSON/],
    ] as const) {
      const refused = await told(count(asked(search, body), context));
      expect(refused).toMatchObject({ status, type: 'application/problem+json' });
      expect(refused.body).toMatchObject({
        type: 'about:blank',
        status,
        detail: expect.stringMatching(words) as unknown,
      });
    }
  });

  it('sends back nothing that is not as it is described', async () => {
    const wrong = serve(operation, () => ({ json: { next: 'four' as unknown as number } }));
    const said = await told(wrong(asked('', { from: 1 }), context));
    expect(said).toMatchObject({ status: 500, type: 'application/problem+json' });
    expect(JSON.stringify(said.body)).not.toContain('four');
  });

  it('may have nothing to say', async () => {
    const quiet = serve(operation, () => done({ 'x-so': '1' }));
    expect(await told(quiet(asked('', { from: 1 }), context))).toEqual({
      status: 204,
      type: null,
      body: null,
    });
  });
});

const V1 = 'src/app/api/v1';

describe('the routes', () => {
  it('are those that are described, with their methods', () => {
    const routes = readdirSync(V1, { recursive: true, encoding: 'utf8' }).flatMap((found) => {
      if (!found.endsWith('route.ts')) return [];
      const file = `${V1}/${found}`;
      const path = file
        .replace('src/app', '')
        .replace('/route.ts', '')
        .replaceAll(/\[(\w+)\]/g, '{$1}');
      const methods = readFileSync(file, 'utf8').matchAll(/export const (GET|POST|PATCH|DELETE)\b/g);
      return [...methods].map(([, method]) => `${method} ${path}`);
    });
    expect(routes.toSorted()).toEqual(OPERATIONS.map((o) => `${o.method} ${o.path}`).toSorted());
  });
});
