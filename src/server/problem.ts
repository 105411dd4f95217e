import { z } from 'zod';

/** Something the caller can put right. `status` is the HTTP status; the message names the thing and the way out. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(message);
    this.name = 'Problem';
  }
}

export const notFound = (what: string) => new Problem(404, `${what} is not here. It may have been deleted.`);

/** The first thing that is wrong with a document, with the path to it. */
export function describe(error: z.ZodError): string {
  const issue = error.issues[0];
  if (!issue) return 'The document is not valid.';
  const path = issue.path.map(String).join(' › ');
  return path ? `${path}: ${issue.message}` : issue.message;
}
