import { z } from 'zod';
import { Evidence } from '@/core/project/proof';
import type { Operation } from './operation';

const group = 'Sign-offs';

export const addScreenshot = {
  id: 'addScreenshot',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/scenes/{scene}/cases/{case}/screenshots',
  about:
    'Holds a real screenshot against a case, and keeps its file. What is said becomes evidence by a step that puts it into `evidence` of the project.',
  query: z.object({
    name: z.string({ error: 'Say in ?name= what the file is called.' }).describe('what the file is called'),
    ignored: z
      .string()
      .max(2000)
      .optional()
      .describe(
        'rectangles that are not looked at, lu: x,y,width,height with semicolons; the bars and all letters when absent',
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
  about: 'The screenshots that are evidence of a project, the latest first.',
  answer: { status: 200, about: 'What each said when it was taken in', json: z.array(Evidence) },
} as const satisfies Operation;

export const holdScreenshotAgain = {
  id: 'holdScreenshotAgain',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/screenshots',
  about: 'Holds a screenshot that is kept against its case as it is now, with other parts left out.',
  body: Evidence.pick({ scene: true, case: true, name: true, hash: true, ignored: true }),
  answer: { status: 201, about: 'Where each layer lies, and an opinion', json: Evidence },
} as const satisfies Operation;

export const drawScreenshot = {
  id: 'drawScreenshot',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/screenshots/{screenshot}/difference',
  about: 'The case as it was ruled, faded, with the px marked in which the screenshot differs.',
  answer: { status: 200, about: 'The picture', types: ['image/png'] },
} as const satisfies Operation;
