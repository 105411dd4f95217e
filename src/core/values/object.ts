import { z } from 'zod';

/** What others keep beside our own keys in an object of a document: any JSON, carried along and never read. */
const Extensions = z.record(z.string().min(1), z.json());

/**
 * The schema of an object of a document. A key that it does not name is refused, with the nearest one that it does name; under
 * `extensions` anything may stand.
 */
export const documentObject = <Shape extends z.core.$ZodLooseShape>(shape: Shape) =>
  z.strictObject({ ...shape, extensions: Extensions.optional() });
