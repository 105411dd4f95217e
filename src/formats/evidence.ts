import { z } from 'zod';
import { Hash } from '@/core/pictures/picture';

const off = z.number().nullable();

/** A real screenshot that was held against a case, and what it said. */
export const Evidence = z.object({
  id: z.string(),
  scene: z.string(),
  case: z.string(),
  name: z.string().describe('what the file is called'),
  hash: Hash.describe('of the screenshot'),
  at: z.string().describe('when it was taken in, ISO 8601'),
  revision: z.int().nonnegative().describe('of the project that it was held against'),
  /** screenshot px per px of the screen: 1 for one that was not made smaller */
  scale: z.number().positive(),
  ignored: z
    .array(z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() }))
    .describe('what was not looked at, lu'),
  layers: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      agrees: z.boolean(),
      found: z
        .object({
          x: z.number(),
          y: z.number(),
          edges: z.object({ left: off, right: off, top: off, bottom: off }),
        })
        .nullable()
        .describe('how far it lies from where it is ruled, device px; null where too little of it is seen'),
    }),
  ),
  opinion: z.string(),
  differing: z.number().describe('share of what was looked at that differs'),
});
export type Evidence = z.infer<typeof Evidence>;
