import { z } from 'zod';

/** What went wrong, in words with a way out. Source: RFC 9457. */
export const ProblemJson = z
  .looseObject({
    type: z.string().default('about:blank'),
    title: z.string().describe('what the status means'),
    status: z.int().min(400).max(599),
    detail: z.string().describe('what is wrong here, and the way out'),
  })
  .describe('What went wrong, in words with a way out');
export type ProblemJson = z.infer<typeof ProblemJson>;

export const PROBLEM_TYPE = 'application/problem+json';
