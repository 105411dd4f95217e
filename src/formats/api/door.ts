import { z } from 'zod';
import type { Operation } from './operation';

const group = 'Server';

export const enter = {
  id: 'enter',
  group,
  method: 'POST',
  path: '/api/v1/session',
  about: 'Exchanges the passphrase for a session, which is a cookie.',
  body: z.object({ passphrase: z.string().max(1000) }),
  open: true,
  answer: { status: 204, about: 'The session has begun' },
  refusals: {
    401: 'It is another passphrase.',
    429: 'Too many were wrong: Retry-After says when to try again.',
  },
} as const satisfies Operation;

export const leave = {
  id: 'leave',
  group,
  method: 'DELETE',
  path: '/api/v1/session',
  about: 'Ends the session.',
  open: true,
  answer: { status: 204, about: 'The session has ended' },
} as const satisfies Operation;

export const health = {
  id: 'health',
  group,
  method: 'GET',
  path: '/api/v1/health',
  about: 'Whether the server is up.',
  open: true,
  answer: { status: 200, about: 'It is', json: z.object({ ok: z.literal(true) }) },
} as const satisfies Operation;

export const readSchema = {
  id: 'readSchema',
  group,
  method: 'GET',
  path: '/api/v1/schemas/{name}',
  about: 'The JSON Schema of something that is written down as JSON: review, sheet, project, scene.',
  answer: { status: 200, about: 'The schema', types: ['application/schema+json'] },
} as const satisfies Operation;

export const describeApi = {
  id: 'describeApi',
  group,
  method: 'GET',
  path: '/api/v1/openapi.json',
  about: 'This description.',
  answer: { status: 200, about: 'In OpenAPI 3.1', types: ['application/json'] },
} as const satisfies Operation;
