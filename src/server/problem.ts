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

/** What is said of a fault that the caller cannot put right. */
export const UNKNOWN_FAULT = 'Something went wrong on the server; nothing was changed.';

export const notFound = (what: string) => new Problem(404, `${what} is not here. It may have been deleted.`);

export { describe } from '@/core/words/problems';
