import { DEFAULT_LIMITS } from '../measure/defaults';
import { fillScreen } from '../placing/presets';
import { percent } from '../values/values';
import { casesOf } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { weightsOf } from '../screens/weights';
import { markOf, type Mark } from '../solve/mark';
import { summarise, weightedTotals } from '../solve/summary';
import { survey } from '../survey/survey';
import { fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { byScreen } from './by-screen';
import { findingsOf, withParts } from './scene';

const cases = distinctCases(casesOf(SCREENS, ['light', 'dark'])).map((c) => c.shown);
const scene = [
  pictureLayer(fillScreen(), { id: 'back', picture: 'photo', role: 'background', fit: fitOf('cover') }),
  pictureLayer(
    {
      x: middleOf({ kind: 'length', length: percent(90), of: 'screen' }),
      y: middleOf({ kind: 'from-ratio' }),
      ratio: { value: 'own', strict: true },
    },
    { id: 'mark', picture: 'mark' },
  ),
];
const input = {
  ...inputOf(scene, [
    pictureOf('photo', { widthPx: 2400, heightPx: 1600, density: 3 }),
    pictureOf('mark', { widthPx: 3000, heightPx: 600, density: 3 }),
  ]),
  limits: DEFAULT_LIMITS,
};
const results = survey(input, cases);
const findings = findingsOf(input.scene, results, cases);

describe('findings by screen', () => {
  const list = byScreen(findings, cases);
  it('hold each finding on each of its cases once', () => {
    const pairs = (from: { id: string; cases: { caseId: string }[] }[]) =>
      from.flatMap((f) => f.cases.map((o) => `${f.id} on ${o.caseId}`)).toSorted();
    const listed = list.flatMap((s) => s.found.map((f) => ({ id: f.finding.id, cases: f.on })));
    expect(pairs(listed)).toEqual(pairs(findings));
    for (const { screen, found } of list)
      for (const { on } of found) for (const o of on) expect(o.caseId.startsWith(`${screen.id}.`)).toBe(true);
  });

  it('have the gravest outcome of the screen, gravest screens first', () => {
    const rank = { fail: 0, warn: 1, clear: 2 };
    for (const { screen, outcome } of list) {
      const own = results.filter((r) => r.screenId === screen.id).map((r) => rank[r.outcome]);
      expect(rank[outcome]).toBe(Math.min(...own));
    }
    const ranks = list.map((s) => rank[s.outcome]);
    expect(ranks).toEqual(ranks.toSorted());
  });
});

describe('causes', () => {
  it('lead to the rules of the layer that is at fault', () => {
    const causes = withParts(input, findings, cases);
    const of = (measure: string) => causes.find((c) => c.measure === measure)?.part;
    expect(of('crop')).toMatchObject({ layerId: 'back', path: expect.arrayContaining(['fit']) as string[] });
    expect(of('share-width')).toMatchObject({
      layerId: 'mark',
      path: expect.arrayContaining(['placing', 'x']) as string[],
    });
    expect(causes.map(({ part: _, ...f }) => f)).toEqual(findings);
  });
});

describe('weighted totals', () => {
  const marks = new Map<string, Mark>(
    results.flatMap((r) => {
      const m = markOf(r, input.scene);
      return m ? [[r.id, m]] : [];
    }),
  );
  const weights = weightsOf(cases);
  const { outcomes, losses } = weightedTotals(results.map(summarise), marks, weights);
  it('sum to one, and are the weight of what fails', () => {
    expect(outcomes.fail + outcomes.warn + outcomes.clear).toBeCloseTo(1, 9);
    const failed = results.filter((r) => r.outcome === 'fail').map((r) => weights.get(r.id)!);
    expect(outcomes.fail).toBeCloseTo(
      failed.reduce((a, b) => a + b, 0),
      9,
    );
  });

  it('lie between the least and the greatest loss', () => {
    const crops = [...marks.values()].map((m) => m.losses.crop);
    expect(losses!.crop).toBeGreaterThan(Math.min(...crops));
    expect(losses!.crop).toBeLessThan(Math.max(...crops));
    expect(losses!.bare).toBeCloseTo(0, 9);
  });

  it('have no losses where nothing is marked', () => {
    expect(weightedTotals(results.map(summarise), new Map(), weights).losses).toBeNull();
  });
});
