import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { applyPatch, PatchError, type Operation } from '../patch/patch';
import { readChanged } from './documents';
import { readDocuments } from './migrate';

/** Every place in the documents, as JSON pointers. */
function placesIn(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, v]) => placesIn(v, `${path}/${key}`))];
}
const PLACES = placesIn(demo).filter((p) => p.split('/').length > 2 && !p.endsWith('/schema'));
const VALUES = [null, 0, -1, 1e9, 'x', '', true, [], {}, [1], { value: 12, unit: 'lu' }, '#123456'];

const NAMES = PLACES.filter((p) => p.endsWith('/name'));

const operation = fc.oneof(
  fc.record({
    op: fc.constant('replace' as const),
    path: fc.constantFrom(...NAMES),
    value: fc.constant('x'),
  }),
  fc.record({
    op: fc.constantFrom('replace' as const, 'add' as const),
    path: fc.constantFrom(...PLACES),
    value: fc.constantFrom(...VALUES),
  }),
  fc.record({ op: fc.constant('remove' as const), path: fc.constantFrom(...PLACES) }),
);

const copyOf = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** What reading comes to: the documents, or the messages of what is wrong. */
function outcomeOf(read: () => unknown): unknown {
  try {
    return read();
  } catch (error) {
    const { issues } = error as { issues?: { message: string; path: unknown[] }[] };
    if (!issues) throw error;
    return issues.map(({ message, path }) => `${path.join(' › ')}: ${message}`).toSorted();
  }
}

it('reading what a change has touched says the same as reading everything', () => {
  const before = readDocuments(copyOf(demo));
  const seen = { read: 0, refused: 0 };
  fc.assert(
    fc.property(fc.array(operation, { minLength: 1, maxLength: 3 }), (patch) => {
      let json: typeof before;
      try {
        json = applyPatch(before, patch as Operation[]);
      } catch (error) {
        if (error instanceof PatchError) return;
        throw error;
      }
      const whole = outcomeOf(() => readDocuments(copyOf(json)));
      const touched = outcomeOf(() => readChanged(before, json));
      seen[Array.isArray(whole) ? 'refused' : 'read']++;
      // What is wrong is said of more places at a time, or of fewer.
      if (Array.isArray(whole)) expect([whole, Array.isArray(touched)]).toEqual([whole, true]);
      else expect(touched).toEqual(whole);
    }),
    { numRuns: 300 },
  );
  expect(seen.read).toBeGreaterThan(20);
  expect(seen.refused).toBeGreaterThan(20);
});

it('shares what was not touched', () => {
  const before = readDocuments(copyOf(demo));
  const [first, second] = before.project.scenes as [string, string];
  const json = applyPatch(before, [{ op: 'replace', path: `/scenes/${first}/name`, value: 'Other' }]);
  const after = readChanged(before, json);
  expect(after.scenes[first]!.name).toBe('Other');
  expect(after.scenes[second]).toBe(before.scenes[second]);
  expect(after.project).toBe(before.project);
});
