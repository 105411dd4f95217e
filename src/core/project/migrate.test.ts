import { demo } from '../../../demo/testing';
import { limitsSince } from '../measure/defaults';
import type { Documents } from './documents';
import { NewerSchema, readDocuments, schemaOf } from './migrate';
import { sameJson } from '../patch/patch';
import { SCHEMA_VERSION } from './project';
import type { Layer, PictureLayer } from '../scene/scene';
import { lu } from '../values/values';

const SCENE = 'winter-splash';
const extent = { kind: 'length' as const, length: lu(200) };
const middle = { kind: 'middle' as const, region: 'safe' as const, shift: lu(0), extent };
const idle = { x: middle, y: middle, ratio: { value: 2, strict: true } };

/** What versions after the first have added to the limits of a start. */
const LATER = [2, 3, 4, 5, 6].flatMap(limitsSince);

/** The first version did not know letters that fonts lack, and judged by roles alone. */
function asVersionOne({ project }: Documents): void {
  project.schema = 1 as typeof SCHEMA_VERSION;
  project.limits = project.limits.filter((l) => !LATER.some((later) => sameJson(l, later)));
}

/** As the first version wrote them: a rule, and one that differs, with two extents and a shape. */
function old(): Documents {
  const documents = structuredClone(demo);
  asVersionOne(documents);
  const emblem = emblemOf(documents);
  emblem.placing = idle;
  emblem.when = [{ orientation: 'landscape', placing: idle }];
  return documents;
}
const emblemOf = ({ scenes }: Documents) =>
  scenes[SCENE]!.layers.find((l: Layer): l is PictureLayer => l.id === 'emblem')!;

describe('documents of an older version', () => {
  it('lose shapes that nothing heeded, and nothing else', () => {
    const before = old();
    const after = readDocuments(before);
    expect(schemaOf(before)).toBe(1);
    expect(schemaOf(after)).toBe(SCHEMA_VERSION);
    const { ratio: _, ...sized } = idle;
    expect(emblemOf(after).placing).toEqual(sized);
    expect(emblemOf(after).when![0]!.placing).toEqual(sized);
    const expected = structuredClone(before);
    expected.project.schema = SCHEMA_VERSION;
    expected.project.limits.push(...LATER);
    emblemOf(expected).placing = sized;
    emblemOf(expected).when![0]!.placing = sized;
    expect(after).toEqual(expected);
  });

  it('are left as they are otherwise', () => {
    const same = structuredClone(demo);
    asVersionOne(same);
    const { project, scenes } = readDocuments(same);
    expect(scenes).toEqual(demo.scenes);
    expect(new Set(project.limits)).toEqual(new Set(demo.project.limits));
    expect({ ...project, limits: [] }).toEqual({ ...demo.project, limits: [] });
  });
});

it('documents of this version may not have them', () => {
  const wrong = { ...old(), project: demo.project };
  expect(() => readDocuments(wrong)).toThrow('there is no shape to keep');
});

it('documents of a newer version are refused in words', () => {
  const newer = structuredClone(demo) as unknown as { project: { schema: number } };
  newer.project.schema = SCHEMA_VERSION + 1;
  expect(() => readDocuments(newer)).toThrow(NewerSchema);
  expect(() => readDocuments(newer)).toThrow(/Update Coulee/);
});
