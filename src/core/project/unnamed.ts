import { z } from 'zod';
import { misnamedShape } from '../words/problems';

type Loose = Record<string, unknown>;
type Path = readonly PropertyKey[];

/** Keys at a place that its schema does not name. */
interface Unnamed {
  path: Path;
  keys: readonly string[];
}

/** All keys that a schema does not name, also within the shape that a value comes nearest to. */
function unnamedIn(issues: readonly z.core.$ZodIssue[], at: Path = []): Unnamed[] {
  return issues.flatMap((issue): Unnamed[] => {
    const path = [...at, ...issue.path];
    if (issue.code === 'unrecognized_keys') return [{ path, keys: issue.keys }];
    if (issue.code !== 'invalid_union') return [];
    const only = misnamedShape(issue);
    return only ? unnamedIn(only, path) : [];
  });
}

const inside = (json: unknown, path: Path): Loose =>
  path.reduce<unknown>((inner, key) => (inner as Loose)[key as string], json) as Loose;

/**
 * Puts what the schema does not name under `extensions` of the object that it is in; of those that have no such place, such as a
 * length, it goes, as it always did.
 * @param json JSON; it is not changed
 */
export function withUnnamedKept(schema: z.ZodType, json: unknown): unknown {
  const kept = structuredClone(json);
  // Within a shape that has keys too many nothing else is looked at, so that it is asked again until there are none.
  for (;;) {
    const { error } = schema.safeParse(kept);
    const found = unnamedIn(error?.issues ?? []);
    if (found.length === 0) return kept;
    for (const { path, keys } of found) {
      const object = inside(kept, path);
      // Where not even extensions are named there is no place for them.
      const extras = keys.filter((key) => key !== 'extensions').map((key) => [key, object[key]]);
      for (const key of keys) delete object[key];
      if (extras.length > 0)
        object.extensions = { ...(object.extensions as Loose), ...(Object.fromEntries(extras) as Loose) };
    }
  }
}
