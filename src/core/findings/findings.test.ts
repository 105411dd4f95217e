import fc from 'fast-check';
import { fillScreen } from '../placing/presets';
import type { Limit, MeasureName } from '../measure/limit';
import { percent } from '../values/values';
import type { Case } from '../screens/cases';
import { survey, type PictureResult, type SurveyInput } from '../survey/survey';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { casesOf } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import { score } from './finding';
import { findingsOf } from './scene';

/** Twelve screens of all shapes, in every orientation. */
const cases: Case[] = casesOf(
  SCREENS.filter((_, i) => i % 8 === 0),
  ['light'],
);
const keepAreas = [{ subject: 'a', rect: { x: 0.2, y: 0.3, width: 0.3, height: 0.25 }, weight: 1 }];
const pictures = [
  pictureOf('photo', { widthPx: 2400, heightPx: 1600, density: 3 }, { keepAreas }),
  pictureOf('logo', { widthPx: 300, heightPx: 200, density: 1 }),
];

const whole = (min: number, max: number) => fc.integer({ min, max });
const scene = fc
  .tuple(
    fc.constantFrom('cover' as const, 'contain' as const, 'match-width' as const, 'natural' as const),
    fc.boolean(),
    whole(0, 100),
    whole(0, 100),
    fc.constantFrom('screen' as const, 'safe' as const),
    whole(20, 140),
  )
  .map(([size, clip, x, y, region, share]) => [
    pictureLayer(
      { x: edgesOf(region), y: edgesOf('screen') },
      { id: 'photo', picture: 'photo', role: 'background', fit: fitOf(size, clip, { x, y }) },
    ),
    pictureLayer({
      x: middleOf({ kind: 'length', length: percent(share) }),
      y: middleOf({ kind: 'from-ratio' }),
      ratio: { value: 'own', strict: true },
    }),
  ]);

const N = 60;
/** Share of the points of a fine grid over a rectangle for which something holds. */
function counted(
  r: { x: number; y: number; width: number; height: number },
  holds: (x: number, y: number) => boolean,
) {
  let n = 0;
  for (let i = 0; i < N; i++)
    for (let j = 0; j < N; j++)
      if (holds(r.x + ((i + 0.5) / N) * r.width, r.y + ((j + 0.5) / N) * r.height)) n++;
  return n / (N * N);
}
const isIn = (r: { x: number; y: number; width: number; height: number }, x: number, y: number) =>
  x >= r.x && y >= r.y && x <= r.x + r.width && y <= r.y + r.height;

/** Losses by counting points, from nothing but where the picture, its box and the screen lie. */
const RASTER: Partial<Record<MeasureName, (l: PictureResult, screen: PictureResult['box']) => number>> = {
  crop: ({ placement: p }, screen) =>
    1 - counted(p.drawn, (x, y) => isIn(screen, x, y) && (!p.clipped || isIn(p.box, x, y))),
  'bare-screen': ({ placement: p }, screen) =>
    1 - counted(screen, (x, y) => isIn(p.drawn, x, y) && (!p.clipped || isIn(p.box, x, y))),
  'keep-lost': ({ placement: p }, screen) => {
    const { rect: k } = keepAreas[0]!;
    const on = {
      x: p.drawn.x + k.x * p.drawn.width,
      y: p.drawn.y + k.y * p.drawn.height,
      width: k.width * p.drawn.width,
      height: k.height * p.drawn.height,
    };
    return 1 - counted(on, (x, y) => isIn(screen, x, y) && (!p.clipped || isIn(p.box, x, y)));
  },
};
/** A grid misses an edge by up to a cell on each of four sides. */
const COARSE = 4 / N;

const limit = (measure: MeasureName, max: number): Limit => ({
  measure,
  role: 'background',
  max,
  outcome: 'fail',
});

describe('findings of random scenes', () => {
  it('are none within limits that a count of points gives, and with one tightened that one, on exactly its cases', () => {
    fc.assert(
      fc.property(scene, (layers) => {
        const input: SurveyInput = inputOf(layers, pictures);
        const found = (limits: Limit[]) =>
          findingsOf(input.scene, survey({ ...input, limits }, cases), cases);
        const values = survey(input, cases).map(({ id, layers: drawn, regions }) => {
          const photo = drawn.find((l) => l.id === 'photo') as PictureResult;
          const of = (m: MeasureName) => RASTER[m]!(photo, regions.screen);
          return { id, crop: of('crop'), 'bare-screen': of('bare-screen'), 'keep-lost': of('keep-lost') };
        });
        const measures = ['crop', 'bare-screen', 'keep-lost'] as const;
        const beyond = measures.map((m) => limit(m, Math.max(...values.map((v) => v[m])) + COARSE));
        expect(found(beyond)).toEqual([]);
        for (const [i, measure] of measures.entries()) {
          // Tightened into the widest gap between two values, so that counting decides on which side each case lies.
          const sorted = [...new Set(values.map((v) => v[measure]))].toSorted((a, b) => a - b);
          const gaps = sorted
            .slice(1)
            .map((v, k) => ({ width: v - sorted[k]!, middle: (v + sorted[k]!) / 2 }));
          const widest = gaps.toSorted((a, b) => b.width - a.width)[0];
          if (!widest || widest.width < 2 * COARSE) continue;
          const tight = beyond.with(i, limit(measure, widest.middle));
          const [finding, ...others] = found(tight);
          expect(others).toEqual([]);
          expect(finding).toMatchObject({ subject: { id: 'photo' }, measure, outcome: 'fail' });
          const expected = values.filter((v) => v[measure] > widest.middle).map((v) => v.id);
          expect(finding!.cases.map((f) => f.caseId).toSorted()).toEqual(expected.toSorted());
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('a finding', () => {
  const layers = [
    pictureLayer(fillScreen(), { id: 'photo', picture: 'photo', role: 'background', fit: fitOf('contain') }),
  ];
  const input = { ...inputOf(layers, pictures), limits: [limit('bare-screen', 0)] };
  const of = (more: Partial<SurveyInput> = {}) =>
    findingsOf(input.scene, survey({ ...input, ...more }, cases), cases);

  it('is one row for all its cases, with the worst of them and their weight', () => {
    const [one, ...others] = of();
    expect(others).toEqual([]);
    const most = Math.max(...one!.cases.map((f) => f.by));
    expect(one!.cases.find((f) => f.caseId === one!.worst.caseId)!.by).toBe(most);
    expect(one!.weight).toBeGreaterThan(0.5);
    expect(one!.weight).toBeLessThanOrEqual(1 + 1e-9);
    expect(score(of(), weightsOf(cases))).toBeGreaterThan(0);
  });

  it('that is accepted on its screens stays, counts no longer, and comes back on others', () => {
    const screens = [...new Set(cases.map((c) => c.screen.id))];
    const accept = (list: string[]) => [
      { scene: 's', layer: 'photo', measure: 'bare-screen' as const, screens: list, reason: 'As drawn' },
    ];
    const [all] = of({ accepted: accept(screens) });
    expect(all).toMatchObject({ outcome: 'clear', accepted: 'As drawn', weight: 0 });
    expect(score([all!], weightsOf(cases))).toBe(0);
    const [some] = of({ accepted: accept(screens.slice(1)) });
    expect(some).toMatchObject({ outcome: 'fail', accepted: null });
    expect(some!.worst.caseId.startsWith(screens[0]!)).toBe(true);
  });

  it('says on how many cases it hinges on approximate figures', () => {
    const rough = cases.map((c) => ({ ...c, screen: { ...c.screen, approximate: ['insets'] } }));
    const [one] = findingsOf(input.scene, survey(input, rough), rough);
    expect(one!.approximate).toBe(one!.cases.length);
    expect(of()[0]!.approximate).toBeLessThanOrEqual(one!.cases.length);
  });
});
