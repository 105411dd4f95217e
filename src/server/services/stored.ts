import { z } from 'zod';
import { NewerSchema } from '@/core/project/migrate';
import { describe, Problem } from '../problem';
import { storeFault } from '../store-faults';

/** A project whose documents cannot be read, with what is wrong with them. */
export class UnreadableProject extends Problem {
  constructor(readonly why: string) {
    super(
      409,
      `This project cannot be read. ${why} Its raw documents can be saved as a file; take it from an archive or a copy of the store in which it is whole.`,
    );
    this.name = 'UnreadableProject';
  }
}

/** What is wrong with documents that cannot be read; `null` for what has nothing to do with them. */
export function whyUnreadable(error: unknown): string | null {
  if (error instanceof UnreadableProject) return error.why;
  if (error instanceof NewerSchema) return error.message;
  if (error instanceof z.ZodError) return `Its documents are damaged: ${describe(error)}`;
  if (error instanceof SyntaxError || error instanceof TypeError)
    return 'Its documents are damaged: they are not whole JSON.';
  return null;
}

/**
 * Reads something for a page: what it comes to, or the fault of the store in words with a way out.
 * @throws whatever is no fault of the store
 */
export function stored<T>(read: () => T): { value: T } | { fault: string } {
  try {
    return { value: read() };
  } catch (error) {
    const problem = error instanceof Problem ? null : storeFault(error);
    if (!problem) throw error;
    return { fault: problem.message };
  }
}
