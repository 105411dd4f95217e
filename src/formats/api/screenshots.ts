import { z } from 'zod';
import { Evidence } from '../evidence';
import type { Operation } from './operation';

const group = 'Sign-offs';

export const addScreenshot = {
  id: 'addScreenshot',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/scenes/{scene}/cases/{case}/screenshots',
  about: 'Holds a real screenshot against a case, and keeps it as evidence with it.',
  query: z.object({
    name: z.string({ error: 'Say in ?name= what the file is called.' }).describe('what the file is called'),
    ignored: z
      .string()
      .max(2000)
      .optional()
      .describe(
        'rectangles that are not looked at, lu: x,y,width,height with semicolons; the bars when absent',
      ),
  }),
  file: 'the screenshot',
  answer: { status: 201, about: 'Where each layer lies, and an opinion', json: Evidence },
} as const satisfies Operation;

export const listScreenshots = {
  id: 'listScreenshots',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/screenshots',
  about: 'The screenshots that are kept as evidence, the latest first.',
  answer: { status: 200, about: 'What each said when it was taken in', json: z.array(Evidence) },
} as const satisfies Operation;

export const holdScreenshotAgain = {
  id: 'holdScreenshotAgain',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/screenshots/{screenshot}',
  about: 'Holds a kept screenshot against its case as it is now, with other parts left out.',
  body: z.object({ ignored: Evidence.shape.ignored.max(50) }),
  answer: { status: 200, about: 'Where each layer lies, and an opinion', json: Evidence },
} as const satisfies Operation;

export const removeScreenshot = {
  id: 'removeScreenshot',
  group,
  method: 'DELETE',
  path: '/api/v1/projects/{project}/screenshots/{screenshot}',
  about: 'Lets a screenshot go that was kept as evidence.',
  answer: { status: 204, about: 'It is kept no longer' },
} as const satisfies Operation;

export const drawScreenshot = {
  id: 'drawScreenshot',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/screenshots/{screenshot}/difference',
  about: 'The case as it was ruled, faded, with the px marked in which the screenshot differs.',
  answer: { status: 200, about: 'The picture', types: ['image/png'] },
} as const satisfies Operation;
