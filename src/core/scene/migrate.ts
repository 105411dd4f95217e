import { z } from 'zod';
import { Documents } from './documents';
import { SCHEMA_VERSION } from './project';

/** Documents written by a later version of the product than this one. */
export class NewerSchema extends Error {
  constructor(readonly found: number) {
    super(
      `These documents have schema version ${found}; this version reads up to ${SCHEMA_VERSION}. Update Coulee to open them.`,
    );
    this.name = 'NewerSchema';
  }
}

/** From each older version to the next: `migrations[n]` turns version n into n + 1. */
const migrations: Record<number, (documents: unknown) => unknown> = {};

const Versioned = z.looseObject({ project: z.looseObject({ schema: z.int().positive() }) });

/**
 * Documents of this version out of those of this or an older one.
 * @throws NewerSchema, ZodError
 */
export function readDocuments(json: unknown): Documents {
  let version = Versioned.parse(json).project.schema;
  if (version > SCHEMA_VERSION) throw new NewerSchema(version);
  let current = json;
  for (; version < SCHEMA_VERSION; version++) current = migrations[version]?.(current) ?? current;
  return Documents.parse(current);
}
