import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { demo, madeUpPixels } from '../../demo/testing';
import { runThrough } from '@/core/findings/trying';
import type { Documents } from '@/core/project/documents';
import { review } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import { halfWide } from '@/core/testing/fonts';
import { SCREENS } from '@/core/testing/scenes';
import { REVIEW_FORMATS, REVIEW_FORMAT_IDS } from './all';
import { fileStem } from './text/file-name';
import { documentFiles, FolderFault, hashesOf, readFolder } from './folder';
import { placesByHash, placesByName } from './places';
import type { Picture } from '@/core/pictures/picture';
import { reviewCsv } from './review-csv';
import { reviewJson, reviewJsonSchema } from './review-json';

const whole: Review = runThrough(
  review({
    documents: demo,
    revision: 3,
    digest: 'd',
    screens: SCREENS.slice(0, 4),
    outside: { fonts: halfWide, pixels: madeUpPixels() },
    ink: new Map(),
  }),
);
const findings = [...whole.scenes, ...whole.launches, ...whole.files].flatMap((p) => p.findings);

/** A reader of RFC 4180 that knows nothing of how the file was written. */
function readCsv(text: string): string[][] {
  const rows: string[][] = [[]];
  let quoted = false;
  let cell = '';
  for (let i = 0; i < text.length; i++) {
    const c = text[i]!;
    if (quoted && c === '"' && text[i + 1] === '"') {
      cell += '"';
      i++;
    } else if (c === '"') quoted = !quoted;
    else if (!quoted && (c === ',' || c === '\n')) {
      rows.at(-1)!.push(cell.replace(/\r$/, ''));
      cell = '';
      if (c === '\n') rows.push([]);
    } else cell += c;
  }
  return rows.slice(0, -1);
}

describe('a review as CSV', () => {
  it('has a line for each finding, with as many fields as there are columns', () => {
    const [head, ...rows] = readCsv(reviewCsv.write(whole).replace(/^\uFEFF/, ''));
    expect(rows).toHaveLength(findings.length);
    const at = (name: string) => head!.indexOf(name);
    for (const [i, row] of rows.entries()) {
      const f = findings[i]!;
      expect(row).toHaveLength(head!.length);
      expect(row[at('subject')]).toBe(f.subject.name);
      expect(Number(row[at('worst value')])).toBe(f.worst.value);
      const open = f.cases.filter((c) => c.accepted === undefined).length;
      expect([Number(row[at('open cases')]), Number(row[at('accepted cases')])]).toEqual([
        open,
        f.cases.length - open,
      ]);
      expect(row[at('said')]).toBe(f.said);
    }
  });

  it('survives any name, and none of them is run by a spreadsheet', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, unit: 'grapheme' }), (name) => {
        const own = { ...findings[0]!, subject: { id: 'x', name } };
        const text = reviewCsv.write({ ...whole, scenes: [{ ...whole.scenes[0]!, findings: [own] }] });
        const [, row] = readCsv(text.replace(/^\uFEFF/, ''));
        const said = row![2]!;
        expect(/^[=+\-@\t\r]/.test(said)).toBe(false);
        expect(said.replace(/^'(?=[=+\-@\t\r])/, '')).toBe(name.replace(/\r$/, ''));
      }),
    );
  });
});

/** Names of everything that a schema describes, with what stands under it. */
const namesIn = (schema: unknown): string[] =>
  typeof schema === 'object' && schema !== null
    ? Object.entries(schema).flatMap(([key, value]) => [
        ...(key === 'properties' ? Object.keys(value as object) : []),
        ...namesIn(value),
      ])
    : [];

describe('a review as JSON', () => {
  it('is what it was when it is read', () => {
    expect(JSON.parse(reviewJson.write(whole))).toEqual(JSON.parse(JSON.stringify(whole)));
  });

  it('has no name that its published schema does not know', () => {
    const known = new Set(namesIn(reviewJsonSchema()));
    const used = new Set<string>();
    JSON.parse(reviewJson.write(whole), function (this: unknown, key: string, value: unknown) {
      if (!Array.isArray(this) && key !== '') used.add(key);
      return value;
    });
    expect([...used].filter((name) => !known.has(name))).toEqual([]);
    expect(JSON.parse(readFileSync('docs/schemas/review.schema.json', 'utf8'))).toEqual(reviewJsonSchema());
  });
});

it('formats are known by ids of their own', () => {
  expect(REVIEW_FORMATS.map((f) => f.id)).toEqual([...REVIEW_FORMAT_IDS]);
});

it('a file is named so that every system takes it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (name) =>
      /^[\p{L}\p{N}][\p{L}\p{N}-]*$/u.test(fileStem(name)),
    ),
  );
  expect(fileStem('Winter splash, “2”')).toBe('winter-splash-2');
});

describe('a project as a folder', () => {
  const places = placesByHash(demo);
  const files = documentFiles(demo, 12, places);
  const reading =
    (more: Record<string, string | null> = {}) =>
    (file: string) =>
      file in more ? more[file]! : (files.get(file) ?? null);

  it('is read as it was written', () => {
    expect(readFolder(reading())).toEqual({ documents: demo, revision: 12, places, signOffs: [] });
  });

  it('is read whatever its scenes are called', () => {
    fc.assert(
      fc.property(fc.constantFrom('../up', 'a/b', '.', 'ä ö', 'CON', '%2F'), (id) => {
        const scene = { ...demo.scenes.notice!, id };
        const project = { ...demo.project, scenes: [id], launches: undefined, accepted: undefined };
        const documents = { project, scenes: { [id]: scene } } as Documents;
        const own = documentFiles(documents, 1, places);
        for (const file of own.keys()) expect(file).toMatch(/^(scenes\/)?[^/\\]+$/);
        expect(readFolder((f) => own.get(f) ?? null).documents.scenes[id]).toEqual(scene);
      }),
    );
  });

  it('changes by one line for one word of a rule', () => {
    const documents = structuredClone(demo);
    const layer = documents.scenes['winter-splash']!.layers.find((l) => l.kind === 'picture')!;
    layer.name = 'Another name';
    const changed = documentFiles(documents, 12, places);
    const differing = [...files].filter(([file, text]) => changed.get(file) !== text);
    expect(differing.map(([file]) => file)).toEqual(['scenes/winter-splash.json']);
    const [before, after] = [
      differing[0]![1].split('\n'),
      changed.get('scenes/winter-splash.json')!.split('\n'),
    ];
    expect(after.filter((line, i) => line !== before[i])).toHaveLength(1);
  });

  it('has its files under names that people read, each its own', () => {
    const facts = Object.fromEntries(hashesOf(demo).map((hash) => [hash, { type: 'png', bytes: 1 }]));
    const named = placesByName(demo, facts);
    expect([...named.keys()].toSorted()).toEqual(hashesOf(demo).toSorted());
    const lower = [...named.values()].map((p) => p.toLowerCase());
    expect(new Set(lower).size).toBe(lower.length);
    for (const place of lower) expect(place).toMatch(/^pictures\/[^/]+\.png$/);
    // Two pictures of one name say in what they differ.
    const twins = structuredClone(demo);
    const [a, b] = twins.project.pictures as [Picture, Picture];
    b.name = a.name;
    b.cuts = structuredClone(a.cuts);
    b.cuts[0]!.renditions[0]!.hash = 'f'.repeat(64);
    const both = placesByName(twins, { ...facts, ['f'.repeat(64)]: { type: 'png', bytes: 1 } });
    expect(both.get('f'.repeat(64))).toMatch(/-ffffffff\.png$/);
    expect(new Set(both.values()).size).toBe(both.size);
  });

  it('that is not whole is refused by the name of the file', () => {
    const scene = 'scenes/notice.json';
    for (const [more, said] of [
      [{ [scene]: null }, 'scenes/notice.json: it is missing.'],
      [{ [scene]: '{' }, 'scenes/notice.json: it is not JSON.'],
      [{ 'project.json': '{}' }, 'project.json: it lists no scenes.'],
      [{ 'coulee.json': '{"format":"x"}' }, 'coulee.json: it is not that of a folder of this form'],
      [{ 'files.json': null }, 'files.json: it is missing.'],
      [{ 'files.json': '{"x":"y"}' }, 'files.json: it does not say where each file lies.'],
      [{ 'files.json': '{}' }, 'files.json: it does not say where the file'],
    ] as const) {
      expect(() => readFolder(reading(more))).toThrow(FolderFault);
      expect(() => readFolder(reading(more))).toThrow(said);
    }
  });
});
