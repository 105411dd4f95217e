import { assign, clashes, takeFiles, type Arrived } from './assign';
import { checkFiles } from '../files/check';
import type { Needed } from '../survey/needed';
import { DEFAULT_NAMING, Naming, recognise, sameName } from './naming';
import type { Picture } from './picture';

const read = (path: string) => recognise(path, DEFAULT_NAMING);

describe('the name of a file', () => {
  it.each([
    ['logo.png', 'logo', null, null, null],
    ['logo@2x.png', 'logo', 2, null, null],
    ['logo-1.5x.png', 'logo', 1.5, null, null],
    ['logo_dark@3x.png', 'logo', 3, 'dark', null],
    ['logo@3x-night.png', 'logo', 3, 'dark', null],
    ['harbour-landscape.dark.webp', 'harbour', null, 'dark', 'landscape'],
    ['img/3x/harbour.png', 'harbour', 3, null, null],
    ['320dpi/harbour.png', 'harbour', 2, null, null],
    ['night-2x/harbour-upright.png', 'harbour', 2, 'dark', 'portrait'],
    ['emblem/dark@2x.png', 'emblem', 2, 'dark', null],
    ['Winter splash 2x2.png', 'Winter splash 2x2', null, null, null],
    ['darkroom.png', 'darkroom', null, null, null],
    ['dark.png', 'dark', null, 'dark', null],
    ['a@2x@3x.png', 'a@3x', 2, null, null],
  ])('%s', (path, name, density, appearance, cut) =>
    expect(read(path)).toMatchObject({ name, density, appearance, cut }),
  );

  it('is read by the patterns that a project has', () => {
    const naming = Naming.parse({ ...DEFAULT_NAMING, density: ['~{n}x'], dark: ['nuit'] });
    expect(recognise('logo-nuit~2x.png', naming)).toMatchObject({
      name: 'logo',
      density: 2,
      appearance: 'dark',
    });
    expect(recognise('logo@2x.png', naming)).toMatchObject({ name: 'logo@2x', density: null });
    expect(Naming.safeParse({ ...DEFAULT_NAMING, density: ['big'] }).success).toBe(false);
  });

  it('is the same whatever its capitals and separators', () => {
    expect(sameName('Harbour, upright cut', 'harbour_upright-cut')).toBe(true);
    expect(sameName('harbour', 'harbours')).toBe(false);
  });
});

let count = 0;
const file = (
  path: string,
  widthPx: number,
  heightPx = widthPx,
  more: Partial<Arrived['file']> = {},
): Arrived => ({
  path,
  file: {
    hash: (++count).toString(16).padStart(64, '0'),
    widthPx,
    heightPx,
    vector: false,
    bytes: widthPx * heightPx,
    ...more,
  },
});
const places = (files: Arrived[]) =>
  assign(files, DEFAULT_NAMING).map((a) => [a.picture, a.cut, a.appearance, a.density] as const);

describe('files that arrive together', () => {
  it('are placed by their names', () => {
    expect(places([file('logo@2x.png', 200), file('logo-dark@3x.png', 300)])).toEqual([
      ['logo', 'any', 'light', 2],
      ['logo', 'any', 'dark', 3],
    ]);
  });

  it('are placed by their sizes where no name says it', () => {
    expect(places([file('a.png', 300), file('b/a.png', 100), file('c/a.png', 201)]).map((p) => p[3])).toEqual(
      [3, 1, 2],
    );
    expect(places([file('logo.png', 100), file('logo@3x.png', 300)]).map((p) => p[3])).toEqual([1, 3]);
    expect(places([file('logo.png', 170), file('logo@3x.png', 300)]).map((p) => p[3])).toEqual([1, 3]);
    expect(places([file('photo.jpg', 4000)])).toEqual([['photo', 'any', 'light', 1]]);
    const [vector] = assign([file('logo.svg', 100, 100, { vector: true })], DEFAULT_NAMING);
    expect(vector).toMatchObject({ density: 1, because: 'a vector fits every density' });
  });

  it('say which of them want the same place', () => {
    const list = assign(
      [file('a@2x.png', 20), file('2x/a.png', 20), file('A-2x.png', 20), file('a.png', 10)],
      DEFAULT_NAMING,
    );
    expect(clashes(list)).toEqual([1, 2]);
  });

  it('join the pictures that are there, replace what lies at their place, and keep the rest', () => {
    const first = takeFiles(
      [],
      assign([file('logo@2x.png', 200), file('logo.png', 100)], DEFAULT_NAMING),
      () => 'p',
    );
    expect(first).toHaveLength(1);
    expect(first[0]!.cuts[0]!.renditions.map((r) => r.density)).toEqual([1, 2]);
    const kept: Picture[] = [
      { ...first[0]!, cuts: [{ ...first[0]!.cuts[0]!, focalPoint: { x: 0.2, y: 0.9 } }] },
    ];
    const better = file('Logo@2x.png', 202);
    const next = takeFiles(
      kept,
      assign([better, file('logo-landscape@2x.png', 400)], DEFAULT_NAMING),
      () => 'q',
    );
    expect(next[0]!.cuts.map((c) => c.cut)).toEqual(['any', 'landscape']);
    expect(next[0]!.cuts[0]!.focalPoint).toEqual({ x: 0.2, y: 0.9 });
    expect(next[0]!.cuts[0]!.renditions.map((r) => r.widthPx)).toEqual([100, 202]);
    expect(kept[0]!.cuts).toHaveLength(1);
  });
});

describe('a folder of 60 files', () => {
  const NAMES = ['harbour', 'emblem', 'wordmark', 'rope', 'deck', 'gull', 'anchor', 'buoy', 'chart', 'pier'];
  const APPEARANCES = ['', '-dark'];
  const whole = () =>
    NAMES.flatMap((name, i) =>
      APPEARANCES.flatMap((dark) =>
        [1, 2, 3].map((d) => file(`${name}${dark}${d > 1 ? `@${d}x` : ''}.png`, (100 + i) * d, (40 + i) * d)),
      ),
    );
  const check = (files: Arrived[], needed: [string, Needed[]][] = []) => {
    const pictures = takeFiles([], assign(files, DEFAULT_NAMING), () => `id-${++count}`);
    const ofName = (name: string) => pictures.find((p) => p.name === name)!.id;
    const asked = new Map(needed.map(([name, list]) => [ofName(name), list]));
    const nameOf = (id: string) => pictures.find((p) => p.id === id)!.name;
    return checkFiles({ pictures, densities: [1, 2, 3], needed: asked, ink: new Map() }).map(
      (f) => `${nameOf(f.in.id)} ${f.file.appearance} ${f.file.density}: ${f.rule}`,
    );
  };
  const need = (widthPx: number): Needed => ({
    cut: 'any',
    appearance: 'light',
    widthPx,
    heightPx: 1,
    caseId: 'c',
    heightCaseId: 'c',
  });

  it('has nothing wrong when nothing is', () => {
    expect(whole()).toHaveLength(60);
    expect(check(whole(), [['deck', [need(312)]]])).toEqual([]);
  });

  it('that has six wrong in six ways has six findings, none else', () => {
    const files = whole()
      .filter((f) => f.path !== 'harbour@2x.png')
      .filter((f) => !f.path.startsWith('pier-dark'))
      .map((f): Arrived => {
        if (f.path === 'emblem-dark@2x.png')
          return { ...f, file: { ...f.file, widthPx: f.file.widthPx + 4 } };
        if (f.path === 'wordmark@3x.png') return { ...f, file: { ...f.file, bytes: 900_000 } };
        if (f.path === 'rope.png') return { ...f, file: { ...f.file, profile: 'Display P3' } };
        return f;
      });
    // In place of the four that are gone: two pictures of one file each, which have nothing to be compared with.
    for (const name of ['spare', 'other']) files.push(file(`${name}.png`, 10), file(`${name}-dark.png`, 10));
    expect(files).toHaveLength(60);
    expect(check(files, [['deck', [need(313)]]])).toEqual([
      'harbour light 2: missing',
      'emblem dark 2: uneven',
      'wordmark light 3: too-heavy',
      'rope light 1: wrong-profile',
      'deck light 3: too-small',
      'pier dark null: missing-dark',
    ]);
  });
});

describe('room around the ink', () => {
  const [picture] = takeFiles([], assign([file('logo.png', 100)], DEFAULT_NAMING), () => 'p');
  const { hash } = picture!.cuts[0]!.renditions[0]!;
  const check = (x: number, width: number, by: 'alpha' | 'border' = 'alpha') => {
    const bounds = { x, y: 0.1, width, height: 0.8 };
    const ink = new Map([
      [hash, { bounds, centroid: { x: 0.5, y: 0.5 }, by, colour: '#000000', border: null }],
    ]);
    return checkFiles({ pictures: [picture!], densities: [1], needed: new Map(), ink });
  };

  it('is a finding where opposite sides differ, with how far off the middle that is', () => {
    expect(check(0.1, 0.8)).toEqual([]);
    expect(check(0.05, 0.75)).toHaveLength(1);
    expect(check(0.05, 0.75)[0]!.said).toContain('left 5 %, right 20 %, top 10 %, bottom 10 %');
    expect(check(0.05, 0.75)[0]!.said).toContain('it lies 7.5 % too far left, of the file');
  });

  it('does not count in an opaque picture', () => expect(check(0.05, 0.75, 'border')).toEqual([]));
});
