import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { describe as described } from '../words/problems';
import { Documents } from './documents';
import { readDocuments } from './migrate';
import { SCHEMA_VERSION } from './project';
import { z } from 'zod';

type Loose = Record<string, unknown>;

/** The demo as a version wrote it that kept whatever stood there. */
function older(change: (documents: { project: Loose; scenes: Record<string, Loose> }) => void): unknown {
  const documents = structuredClone(demo) as unknown as { project: Loose; scenes: Record<string, Loose> };
  documents.project.schema = 6;
  change(documents);
  return documents;
}

const reasonOf = (json: unknown): string => {
  try {
    readDocuments(json);
  } catch (error) {
    if (error instanceof z.ZodError) return described(error);
    throw error;
  }
  return 'taken';
};

describe('a key that nobody knows', () => {
  const now = (change: (documents: { project: Loose; scenes: Record<string, Loose> }) => void) => {
    const documents = older(change) as { project: Loose };
    documents.project.schema = SCHEMA_VERSION;
    return documents;
  };
  const layer = (scenes: Record<string, Loose>, n: number) =>
    (scenes['winter-splash']!.layers as Loose[])[n]!;

  it.each([
    ['of a project', now(({ project }) => (project.launch = [])), '“launch”; “launches” does'],
    [
      'of a layer',
      now(({ scenes }) => (layer(scenes, 1).opacty = 1)),
      'scenes › winter-splash › layers › no. 2: has something that does not belong there: “opacty”; “opacity” does.',
    ],
    [
      'of a length',
      now(
        ({ scenes }) => ((scenes['winter-splash']!.margin as Loose).left = { value: 1, unit: 'lu', uint: 2 }),
      ),
      'margin › left: has something that does not belong there: “uint”; “unit” does.',
    ],
    [
      'that is like none',
      now(({ scenes }) => ((scenes['winter-splash']!.margin as Loose).zzzzzzzz = 1)),
      'what does: left, right, top, bottom',
    ],
  ])('%s is refused by its name', (_, json, said) => {
    expect(reasonOf(json)).toContain(said);
  });

  it('may stand under extensions', () => {
    const json = now(({ project }) => (project.extensions = { 'org.example': { owner: 'harbour' } }));
    expect(readDocuments(json).project.extensions).toEqual({ 'org.example': { owner: 'harbour' } });
  });
});

describe('a key that nobody knows, in documents of an older version,', () => {
  it('is kept under extensions, also beside what is there', () => {
    const { project, scenes } = readDocuments(
      older((d) => {
        d.project.owner = 'harbour';
        d.project.extensions = { kept: 1 };
        (d.scenes['winter-splash']!.layers as Loose[])[1]!.note = { by: 'us' };
      }),
    );
    expect(project.extensions).toEqual({ owner: 'harbour', kept: 1 });
    expect(scenes['winter-splash']!.layers[1]!.extensions).toEqual({ note: { by: 'us' } });
  });

  it('hides nothing from what earlier versions are brought up by', () => {
    // Version 1 knew two given extents with a shape, which goes.
    const { scenes } = readDocuments(
      older((d) => {
        d.project.schema = 1;
        const layer = (d.scenes['winter-splash']!.layers as Loose[]).find((l) => l.kind === 'picture')!;
        const axis = { kind: 'middle', region: 'safe', shift: { value: 0, unit: 'lu' }, note: 'ours' };
        const extent = { kind: 'length', length: { value: 200, unit: 'lu' } };
        layer.placing = { x: { ...axis, extent }, y: { ...axis, extent }, ratio: { value: 2, strict: true } };
      }),
    );
    const layer = scenes['winter-splash']!.layers.find((l) => l.kind === 'picture')!;
    expect(layer.placing).not.toHaveProperty('ratio');
    expect(JSON.stringify(layer.placing)).not.toContain('ours');
  });

  it('goes where a value has no place for it, as it did', () => {
    const { scenes } = readDocuments(
      older((d) => ((d.scenes['winter-splash']!.margin as Loose).left = { value: 1, unit: 'lu', more: 2 })),
    );
    expect(scenes['winter-splash']!.margin.left).toEqual({ value: 1, unit: 'lu' });
  });

  it('changes nothing else, wherever it stands', () => {
    const expected = readDocuments(older(() => undefined));
    const objects = (json: unknown): Loose[] =>
      typeof json !== 'object' || json === null
        ? []
        : [...(Array.isArray(json) ? [] : [json as Loose]), ...Object.values(json).flatMap(objects)];
    const withoutExtensions = (json: unknown): unknown =>
      JSON.parse(JSON.stringify(json, (key, value: unknown) => (key === 'extensions' ? undefined : value)));
    fc.assert(
      fc.property(fc.nat(), fc.nat(), (one, two) => {
        const json = older((d) => {
          // In `scenes`, in shares and weights by id and the like any name is one that is known.
          const all = objects(d).filter((o) => 'id' in o || 'kind' in o || 'unit' in o);
          for (const n of [one, two]) all[n % all.length]!.zzz = n;
        });
        const read = readDocuments(json);
        expect(Documents.safeParse(read).success).toBe(true);
        expect(withoutExtensions(read)).toEqual(expected);
      }),
      { numRuns: 25 },
    );
  });
});
