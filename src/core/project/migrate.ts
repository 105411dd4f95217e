import { z } from 'zod';
import { limitsSince } from '../measure/defaults';
import type { Limit } from '../measure/limit';
import { AxisRule, Ratio, withoutIdleShape } from '../placing/rule';
import { Documents } from './documents';
import { SCHEMA_VERSION } from './project';
import { withUnnamedKept } from './unnamed';

/** Documents written by a later version of the product than this one. */
export class NewerSchema extends Error {
  constructor(readonly found: number) {
    super(
      `These documents have schema version ${found}; this version reads up to ${SCHEMA_VERSION}. Update Coulee to open them.`,
    );
    this.name = 'NewerSchema';
  }
}

/** As much of documents of any version as migrations look at. */
const Versioned = z.looseObject({
  project: z.looseObject({ schema: z.int().positive() }),
  scenes: z.record(z.string(), z.looseObject({ layers: z.array(z.looseObject({})) })),
});
type Versioned = z.infer<typeof Versioned>;

/** As much of a rule of version 1 as says whether its shape is idle. */
const Rule = z.looseObject({ x: AxisRule, y: AxisRule, ratio: Ratio.optional() });

const withoutIdle = (placing: unknown): unknown => {
  const rule = Rule.safeParse(placing);
  return rule.success ? withoutIdleShape(rule.data) : placing;
};

type Loose = Record<string, unknown>;
const placedAnew = (rule: Loose): Loose =>
  'placing' in rule ? { ...rule, placing: withoutIdle(rule.placing) } : rule;

/** Version 1 knew rules with two given extents and a shape, which nothing heeded: the shape goes. */
function dropIdleShapes(documents: Versioned): Versioned {
  const scenes = Object.entries(documents.scenes).map(([id, scene]) => {
    const layers = scene.layers.map((layer) => {
      const when = Array.isArray(layer.when) ? { when: (layer.when as Loose[]).map(placedAnew) } : {};
      return { ...placedAnew(layer), ...when };
    });
    return [id, { ...scene, layers }] as const;
  });
  return { ...documents, scenes: Object.fromEntries(scenes) };
}

/** Version 1 did not know texts with letters that their font lacks: nothing was said of them. */
function limitLetters(documents: Versioned): Versioned {
  return withLimits(documents, limitsSince(2));
}

function withLimits(documents: Versioned, more: readonly Limit[]): Versioned {
  const { limits } = documents.project;
  if (!Array.isArray(limits)) return documents;
  return { ...documents, project: { ...documents.project, limits: [...(limits as unknown[]), ...more] } };
}

/** From each older version to the next: `MIGRATIONS[n]` turns version n into n + 1. */
const MIGRATIONS: Record<number, (documents: Versioned) => Versioned> = {
  1: (documents) => limitLetters(dropIdleShapes(documents)),
  // Version 2 judged by roles alone: what was something else could not be seen and was clear.
  2: (documents) => withLimits(documents, limitsSince(3)),
  3: (documents) => withLimits(documents, limitsSince(4)),
  4: (documents) => withLimits(documents, limitsSince(5)),
  5: (documents) => withLimits(documents, limitsSince(6)),
  6: (documents) => documents,
};

/** The first version that refuses keys which nobody knows; earlier ones kept them where they stood. */
const KEYS_REFUSED = 7;

/** The version of documents that are not read yet. @throws ZodError */
export const schemaOf = (json: unknown): number => Versioned.parse(json).project.schema;

/**
 * Documents of this version out of those of this or an older one.
 * @throws NewerSchema, ZodError
 */
export function readDocuments(json: unknown): Documents {
  let current = Versioned.parse(json);
  const { schema } = current.project;
  if (schema > SCHEMA_VERSION) throw new NewerSchema(schema);
  // Before anything else, so that the migrations find what they look at.
  if (schema < KEYS_REFUSED) current = Versioned.parse(withUnnamedKept(Documents, current));
  for (let version = schema; version < SCHEMA_VERSION; version++) {
    current = MIGRATIONS[version]!(current);
    current = { ...current, project: { ...current.project, schema: version + 1 } };
  }
  return Documents.parse(current);
}
