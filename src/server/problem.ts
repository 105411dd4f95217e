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

export { describe } from '@/core/words/problems';
