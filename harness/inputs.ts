import fc from 'fast-check';
import sharp from 'sharp';
import { changeBetween } from '../src/core/patch/change';
import type { Stored } from './client';

/** What a request is made of. */
export interface Input {
  method: string;
  route: string;
  body?: unknown;
  headers?: Record<string, string>;
  /** what the body and the headers are, once it is known how the project is just then */
  late?: (now: Stored) => Pick<Input, 'body' | 'headers'>;
}

/** Halves of a pair of code units stand for nothing in an address. */
const wellFormed = (text: string) => Buffer.from(text).toString();

const METHODS = ['GET', 'POST', 'PATCH', 'DELETE', 'PUT', 'HEAD', 'OPTIONS'];
const ODD_TEXTS = [
  '',
  ' ',
  '..',
  '../../etc/passwd',
  '%00',
  '%2e%2e%2f',
  '%E0%A4%A',
  '__proto__',
  'constructor',
  'toString',
  'prototype',
  'a'.repeat(3000),
  '👩‍🚀',
  '\u202e',
  "'; drop table projects;--",
  '<script>',
  'null',
  'NaN',
  '-1',
  '1e999',
  '0x10',
  'true',
];
const oddText = fc.oneof(fc.constantFrom(...ODD_TEXTS), fc.string({ unit: 'binary', maxLength: 60 }));
const oddValue = fc.oneof(
  oddText,
  fc.constantFrom<unknown>(null, true, 0, -1, 1e308, Number.MAX_SAFE_INTEGER, 0.1, [], {}, [[]], { a: 1 }),
  fc.jsonValue({ maxDepth: 5 }),
  fc.constant(JSON.parse('{"__proto__":{"x":1},"constructor":{"prototype":{"y":2}}}') as unknown),
  fc
    .integer({ min: 1, max: 1500 })
    .map((depth) => JSON.parse('['.repeat(depth) + ']'.repeat(depth)) as unknown),
);

/** JSON that goes deeper than anything could be written from. */
const deepText = fc
  .tuple(fc.constantFrom('[', '{"a":'), fc.integer({ min: 1000, max: 100_000 }))
  .map(([open, depth]) =>
    new TextEncoder().encode(open.repeat(depth) + '1' + (open === '[' ? ']' : '}').repeat(depth)),
  );

/** Something that was right, with one thing in it exchanged, taken out or put in. */
function mutated(value: unknown): fc.Arbitrary<unknown> {
  if (typeof value !== 'object' || value === null) return oddValue;
  const entries = Object.entries(value);
  if (entries.length === 0) return oddValue;
  const put = (key: string, inner: unknown, gone = false): unknown => {
    const others = entries.filter(([k]) => k !== key);
    const all = gone ? others : [...others, [key, inner] as const];
    return Array.isArray(value) ? all.map(([, v]) => v) : Object.fromEntries(all);
  };
  return fc.oneof(
    { weight: 1, arbitrary: oddValue },
    {
      weight: 8,
      arbitrary: fc.constantFrom(...entries).chain(([key, inner]) => mutated(inner).map((v) => put(key, v))),
    },
    { weight: 2, arbitrary: fc.constantFrom(...entries).map(([key]) => put(key, null, true)) },
    { weight: 1, arbitrary: fc.tuple(oddText, oddValue).map(([key, v]) => put(key, v)) },
  );
}

/** Bytes of a file with some of them changed, cut off or doubled. */
const mutatedBytes = (bytes: Uint8Array): fc.Arbitrary<Uint8Array> =>
  fc.oneof(
    fc
      .array(fc.tuple(fc.nat(bytes.length - 1), fc.nat(255)), { minLength: 1, maxLength: 40 })
      .map((changes) => {
        const copy = bytes.slice();
        for (const [at, byte] of changes) copy[at] = byte;
        return copy;
      }),
    fc.nat(bytes.length).map((end) => bytes.slice(0, end)),
    fc.uint8Array({ maxLength: 400 }),
  );

const svgs = [
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1"><rect width="1" height="1"/></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><filter id="f"><feGaussianBlur stdDeviation="4"/></filter><rect width="9" height="9" filter="url(#f)"/></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" width="1e9" height="1e9"><use href="#a"/></svg>',
];

export async function files(): Promise<Uint8Array[]> {
  const plain = sharp({ create: { width: 60, height: 40, channels: 4, background: '#3080c0' } });
  const formats = await Promise.all(
    (['png', 'jpeg', 'webp', 'avif'] as const).map((f) => plain.clone().toFormat(f).toBuffer()),
  );
  return [...formats, ...svgs.map((s) => new TextEncoder().encode(s))];
}

/** Requests over every route, each with one thing or more that is wrong. */
export function inputs(
  id: string,
  { documents, revision }: Stored,
  pictures: readonly Uint8Array[],
): fc.Arbitrary<Input> {
  const project = `/api/v1/projects/${id}`;
  const [hash] = documents.project.pictures.flatMap((p) =>
    p.cuts.flatMap((c) => c.renditions.map((r) => r.hash)),
  );
  const caseRoute = `${project}/scenes/winter-splash/cases/phone-375x667-2x-home.0.light`;
  const launchRoute = `${project}/launches/${documents.project.launches?.[0]?.id}/cases/phone-375x667-2x-home.0.light`;
  const after = { ...documents, project: { ...documents.project, name: 'Fuzzed' } };
  const change = changeBetween('00000000-0000-4000-8000-000000000000', documents, after)!;
  const made = { make: 'size', hash, widthPx: 20, heightPx: 16384, left: 1, right: 1, top: 1, bottom: 1 };
  const film = {
    kind: 'film',
    options: { launch: 'launch', case: 'none.0.light', start: 'cold', as: 'webp' },
  };
  const trim = { make: 'trim', hash, part: { x: 1, y: 0, width: 0.5, height: 1 } };
  const routes = [
    '/',
    `/projects/${id}`,
    `/projects/${id}/winter-splash`,
    '/api/v1/projects',
    project,
    `${project}/raw`,
    `${project}/files`,
    `${project}/revisions`,
    `${project}/revisions/1`,
    caseRoute,
    `${launchRoute}/frame`,
    `${project}/lost-files`,
    `${project}/screens`,
    `${project}/tokens`,
    `${project}/manifest`,
    `${project}/scenes/winter-splash/sheet`,
    '/api/v1/archives',
    '/api/v1/openapi.json',
    `${project}/jobs`,
    `${project}/jobs/none`,
    `${project}/jobs/none/result`,
    '/api/v1/schemas/review',
    '/api/v1/schemas/sheet',
    `/api/v1/pictures/${hash}/64`,
    `/api/v1/pictures/${hash}/raster`,
    `/api/v1/pictures/${hash}/statistics`,
    '/api/v1/fonts/sans-400/latin',
    '/api/v1/session',
    '/api/v1/health',
  ];
  const segment = (route: string) =>
    fc.tuple(fc.nat(route.split('/').length - 1), oddText).map(([at, text]) => {
      const parts = route.split('/');
      if (at > 0) parts[at] = text.startsWith('%') ? text : encodeURIComponent(wellFormed(text));
      return parts.join('/') || '/';
    });
  const query = fc
    .dictionary(
      fc.constantFrom(
        'scale',
        't',
        'as',
        'start',
        'glass',
        'fit',
        'repeat',
        'layer',
        'versions',
        'name',
        'lens',
        'case',
      ),
      oddText,
      { maxKeys: 4 },
    )
    .map((q) => new URLSearchParams(Object.entries(q).map(([k, v]) => [k, wellFormed(v)])).toString());
  const tagged = fc
    .constantFrom(`"${revision}"`, '"0"', '"999999"', '*', '', 'W/"1"')
    .map((tag) => ({ 'if-match': tag }));
  const json = (method: string, route: string, body: unknown) =>
    fc.record({
      method: fc.constant(method),
      route: fc.constant(route),
      body: mutated(body),
      headers: tagged,
    });
  const patches = fc
    .tuple(fc.constantFrom('add', 'replace', 'remove'), fc.constantFrom(...pathsOf(documents)), oddValue)
    .map(([op, path, value]): Input => {
      const late = (now: Stored) => ({
        body: {
          id: crypto.randomUUID(),
          patch: [{ op, path, value }],
          inverse: [{ op: 'replace', path: '', value: now.documents }],
        },
        headers: { 'if-match': `"${now.revision}"` },
      });
      return { method: 'PATCH', route: project, late };
    });
  return fc.oneof(
    // To delete the project itself is right, and would leave nothing for the others to be wrong about.
    fc
      .record({ method: fc.constantFrom(...METHODS), route: fc.constantFrom(...routes).chain(segment) })
      .filter(({ method, route }) => method !== 'DELETE' || route.replace(/\/+$/, '') !== project),
    fc.record({
      method: fc.constant('GET'),
      route: fc.tuple(fc.constantFrom(...routes), query).map(([route, q]) => `${route}?${q}`),
    }),
    json('PATCH', project, change),
    { weight: 4, arbitrary: patches },
    json('POST', '/api/v1/projects', { name: 'New' }),
    fc.tuple(fc.constantFrom('PATCH', 'POST'), deepText).map(([method, body]) => ({
      method,
      route: method === 'POST' ? '/api/v1/projects' : project,
      body,
      headers: { 'if-match': `"${revision}"`, 'content-type': 'application/json' },
    })),
    json('POST', `${project}/addresses`, { address: 'http://127.0.0.1:9/a.png' }),
    json('POST', `${project}/derived`, made),
    json('POST', `${project}/derived`, trim),
    json('POST', `${project}/jobs`, film),
    json('POST', '/api/v1/session', { passphrase: 'x' }),
    fc.record({
      method: fc.constant('POST'),
      route: fc.constantFrom(`${project}/files?name=a.png`, `${project}/fonts?name=a.ttf`),
      body: fc.constantFrom(...pictures).chain(mutatedBytes),
    }),
    fc.record({
      method: fc.constant('POST'),
      route: fc.constant('/api/v1/projects'),
      headers: fc.constantFrom<Record<string, string>>(
        { origin: 'null' },
        { origin: 'http://other.test' },
        { 'sec-fetch-site': 'cross-site' },
      ),
      body: fc.constant({ name: 'Forged' }),
    }),
  );
}

/** Where things stand in documents, as JSON pointers. */
function pathsOf(value: unknown, path = '', depth = 0): string[] {
  if (typeof value !== 'object' || value === null || depth > 6) return [path];
  const below = Object.entries(value).flatMap(([key, v]) =>
    pathsOf(v, `${path}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`, depth + 1),
  );
  return [path, ...below];
}
