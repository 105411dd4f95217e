import { expect, type APIResponse } from '@playwright/test';
import { Ajv2020 } from 'ajv/dist/2020.js';
import formats from 'ajv-formats';
import { test } from './test';

interface Described {
  paths: Record<
    string,
    Record<string, { responses: Record<string, { content?: Record<string, { schema?: object }> }> }>
  >;
}

const CASE = 'phone-360x640-3x.0.light';
const PROJECT = '/api/v1/projects/{project}';

/** What can be read, with what varies in its address. */
const READ: readonly [path: string, values?: Record<string, string>, query?: string][] = [
  ['/api/v1/projects'],
  ['/api/v1/screens'],
  [PROJECT],
  [`${PROJECT}/raw`],
  [`${PROJECT}/revisions`],
  [`${PROJECT}/files`],
  [`${PROJECT}/lost-files`],
  [`${PROJECT}/screens`, {}, '?target=tablets'],
  [`${PROJECT}/tokens`],
  [`${PROJECT}/manifest`],
  [`${PROJECT}/scenes/{scene}/sheet`],
  [`${PROJECT}/scenes/{scene}/sheet`, {}, '?as=md&target=phones'],
  [`${PROJECT}/scenes/{scene}/telling`],
  [`${PROJECT}/scenes/{scene}/cases/{case}`, {}, '?scale=0.5'],
  [`${PROJECT}/scenes/{scene}/cases/{case}`, {}, '?as=svg&glass=0'],
  [`${PROJECT}/launches/{launch}/cases/{case}/frame`, {}, '?t=500&scale=0.5'],
  ['/api/v1/schemas/{name}', { name: 'project' }],
  ['/api/v1/schemas/{name}', { name: 'scene' }],
  ['/api/v1/fonts/{face}/{subset}', { face: 'sans-400', subset: 'latin' }],
  ['/api/v1/health'],
  ['/api/v1/openapi.json'],
];

const USUAL = { project: 'larkmoor-ferries', scene: 'winter-splash', launch: 'launch', case: CASE };

test('what is read over HTTP is what the description says of it', async ({ request }) => {
  const api = (await (await request.get('/api/v1/openapi.json')).json()) as Described;
  const ajv = new Ajv2020({ strict: false });
  formats.default(ajv);
  ajv.addSchema({ $id: 'api', ...api });
  const check = async (response: APIResponse, described: Record<string, { schema?: { $ref?: string } }>) => {
    const type = response.headers()['content-type']!.split(';')[0]!;
    expect(Object.keys(described)).toContain(type);
    const { schema } = described[type]!;
    if (!schema) return;
    const valid = ajv.compile({ $ref: `api${schema.$ref}` });
    expect([valid(await response.json()), valid.errors]).toEqual([true, null]);
  };
  for (const [path, values = {}, query = ''] of READ) {
    const all: Record<string, string> = { ...USUAL, ...values };
    const response = await request.get(path.replace(/\{(\w+)\}/g, (_, name: string) => all[name]!) + query);
    expect([path, response.status()]).toEqual([path, 200]);
    const { responses } = api.paths[path]!.get!;
    await check(response, responses['200']!.content!);
  }
  const { responses } = api.paths[PROJECT]!.get!;
  for (const address of [
    '/api/v1/projects/none',
    '/api/v1/projects/larkmoor-ferries/screens?target=cake',
    '/api/v1/projects/larkmoor-ferries/scenes/winter-splash/sheet?as=cake',
    '/api/v1/projects/larkmoor-ferries/scenes/winter-splash/sheet?case=none',
    '/api/v1/schemas/cake',
    '/api/v1/nothing',
    '/api/projects',
  ]) {
    const refused = await request.get(address);
    expect([address, refused.status()]).toEqual([address, address.includes('as=cake') ? 422 : 404]);
    await check(refused, responses.default!.content!);
  }
});
