import { z } from 'zod';
import { FIT_PRESETS } from '@/core/fit/presets';
import { Repeat } from '@/core/fit/rule';
import { OUTCOMES } from '@/core/measure/judge';
import { STARTS } from '@/core/launch/timeline';
import type { Operation } from './operation';

const scale = z.coerce
  .number()
  .positive()
  .max(16)
  .optional()
  .describe('px per lu; of the screen itself when absent');

const group = 'Pictures of cases';

export const drawCase = {
  id: 'drawCase',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/scenes/{scene}/cases/{case}',
  about: 'One case of a scene as it is drawn: a screen, turned, in light or dark.',
  query: z.object({
    scale,
    glass: z.enum(['0', '1']).default('1').describe('0 without bars, corners and cutouts'),
    layer: z.string().optional().describe('a layer that is drawn with another fit or repeat'),
    fit: z.enum(FIT_PRESETS).optional(),
    repeat: Repeat.optional(),
    as: z.enum(['png', 'svg']).default('png').describe('in SVG texts are outlines'),
  }),
  answer: { status: 200, about: 'The picture', types: ['image/png', 'image/svg+xml'] },
} as const satisfies Operation;

const count = z.number().int().min(0);

export const readTelling = {
  id: 'readTelling',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/scenes/{scene}/telling',
  about:
    'How many cases of a scene end with each outcome, and the cases that tell most: of all that are alike the worst.',
  answer: {
    status: 200,
    about: 'The gravest that most people have first',
    json: z.object({
      outcomes: z.object({ fail: count, warn: count, clear: count }),
      cases: z.array(
        z.object({
          case: z.string(),
          name: z.string(),
          outcome: z.enum(OUTCOMES),
          words: z.string().nullable().describe('what is worst on it, the layer first'),
          like: count.describe('other cases that are like it'),
        }),
      ),
    }),
  },
} as const satisfies Operation;

export const drawFrame = {
  id: 'drawFrame',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/launches/{launch}/cases/{case}/frame',
  about: 'What is on a screen at a time after the tap.',
  query: z.object({
    start: z.enum(STARTS).default('cold'),
    versions: z.string().max(80).optional().describe('of the system, as a target of the launch names them'),
    scale,
    t: z.coerce.number().min(0).max(3_600_000).default(0).describe('ms from the tap'),
  }),
  answer: { status: 200, about: 'The picture', types: ['image/png'] },
} as const satisfies Operation;
