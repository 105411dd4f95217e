import { z } from 'zod';
import { SignOffSummary } from '@/core/review/sign-off';
import { SHOWN, Since } from '@/core/since/schema';
import type { Operation } from './operation';

const group = 'Sign-offs';

export const listSignOffs = {
  id: 'listSignOffs',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/sign-offs',
  about: 'The sign-offs of a project, the latest first. Each is held against its seal. One is made by a job.',
  answer: {
    status: 200,
    about: 'What each says, or why it cannot be trusted',
    json: z.array(
      z.union([
        z.object({ id: z.string(), signOff: SignOffSummary }),
        z.object({ id: z.string(), fault: z.string().describe('what of it is not as it was signed') }),
      ]),
    ),
  },
} as const satisfies Operation;

export const readSignOff = {
  id: 'readSignOff',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/sign-offs/{signOff}',
  about: 'A sign-off as it is kept, with its seal: documents, screens and review of that day.',
  answer: { status: 200, about: 'As a file', types: ['application/json'] },
  refusals: { 409: 'It is not as it was signed; what was changed is named.' },
} as const satisfies Operation;

export const readSince = {
  id: 'readSince',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/sign-offs/{signOff}/since',
  about: 'What has changed since a sign-off: what was changed, and what got worse or better because of it.',
  answer: { status: 200, about: 'What got worse first', json: Since },
  refusals: { 409: 'It is not as it was signed; what was changed is named.' },
} as const satisfies Operation;

export const drawSince = {
  id: 'drawSince',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/sign-offs/{signOff}/scenes/{scene}/cases/{case}',
  about: 'A case as it was signed off, as it is now, or now with the px marked that differ.',
  query: z.object({
    show: z.enum(SHOWN).default('difference'),
    scale: z.coerce
      .number()
      .positive()
      .max(16)
      .optional()
      .describe('px per lu; of the screen itself when absent'),
  }),
  answer: { status: 200, about: 'The picture', types: ['image/png'] },
  refusals: { 409: 'It is not as it was signed; what was changed is named.' },
} as const satisfies Operation;
