import fc from 'fast-check';
import { isPlaced, type Layer, type Scene } from '../scene/scene';
import { lu } from '../values/values';
import { demo, demoCases, demoInput, madeUpPixels } from '../../../demo/testing';
import { anyFit, colour, paint, placing } from '../testing/arbitraries';
import { resultsOf, surveyAgain, surveyRunning } from './again';
import type { Earlier } from './earlier';
import { survey, type CaseResult, type SurveyInput } from './survey';

const pixels = madeUpPixels();
/** A few screens in both appearances, among them ones that turn. */
const cases = demoCases.filter((_, i) => i % 44 < 2);
const gap = { id: 'gap', name: 'Gap', value: { value: 12, unit: 'lu' as const } };
const start = (scene: string): SurveyInput => ({
  ...demoInput(scene),
  named: [...demo.project.named, gap],
  pixels,
});

type Edit = (input: SurveyInput) => SurveyInput;

const onLayers =
  (change: (layers: Layer[]) => Layer[]): Edit =>
  (input) => ({ ...input, scene: { ...input.scene, layers: change(structuredClone(input.scene.layers)) } });
/** Changes the layer at a place in the list, or the nearest one that the change is for. */
const onLayer = (at: number, change: (layer: Layer) => void): Edit =>
  onLayers((layers) => {
    change(layers[at % layers.length]!);
    return layers;
  });
const onScene =
  (more: Partial<Scene>): Edit =>
  (input) => ({ ...input, scene: { ...input.scene, ...more } });

const at = fc.nat(12);
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc.tuple(at, placing).map(([i, p]) => onLayer(i, (l) => isPlaced(l) && (l.placing = p))),
  fc.tuple(at, fc.integer({ min: -40, max: 40 })).map(([i, by]) =>
    onLayer(i, (l) => {
      if (!isPlaced(l)) return;
      const { y } = l.placing;
      if (y.kind === 'middle') y.shift = lu(by);
      else if (y.kind !== 'edges') y.edge.offset = lu(by);
    }),
  ),
  fc.tuple(at, anyFit).map(([i, fit]) => onLayer(i, (l) => l.kind === 'picture' && (l.fit = fit))),
  fc.tuple(at, colour).map(([i, c]) =>
    onLayer(i, (l) => {
      if (l.kind === 'picture') l.tint = c;
      if (l.kind === 'text') l.style.colour = c;
    }),
  ),
  fc.tuple(at, paint).map(([i, p]) =>
    onLayer(i, (l) => {
      if (l.kind === 'ground' || l.kind === 'panel') l.colour = p;
    }),
  ),
  fc.tuple(at, fc.constantFrom(0, 0.3, 1)).map(([i, o]) => onLayer(i, (l) => (l.opacity = o))),
  at.map((i) => onLayer(i, (l) => (l.visible = !l.visible))),
  at.map((i) => onLayer(i, (l) => l.kind === 'text' && (l.text += ' and back'))),
  at.map((i) => onLayer(i, (l) => l.kind === 'panel' && (l.clip = !l.clip))),
  at.map((i) => onLayer(i, (l) => isPlaced(l) && (l.when = [{ orientation: 'landscape', visible: false }]))),
  fc
    .tuple(at, placing)
    .map(([i, p]) => onLayer(i, (l) => isPlaced(l) && (l.when = [{ maxWidth: 400, placing: p }]))),
  at.map((i) => onLayers((layers) => layers.toSpliced(i % layers.length, 1))),
  at.map((i) =>
    onLayers((layers) => {
      const id = `more${layers.map((l) => l.id).join('')}`;
      return [...layers, { ...structuredClone(layers[i % layers.length]!), id }];
    }),
  ),
  at.map((i) => onLayers((layers) => [...layers.slice(i), ...layers.slice(0, i)])),
  fc.constant(onScene({ direction: 'rtl' })),
  fc.constant(onScene({ margin: { left: lu(30), right: lu(8), top: lu(0), bottom: lu(12) } })),
  fc.constant((input: SurveyInput): SurveyInput => ({ ...input, limits: input.limits.slice(3) })),
);

/** Whether two results say the same but for the last bits of their figures; `path` leads to what does not. */
function difference(a: unknown, b: unknown, path = ''): string | null {
  if (typeof a === 'number' && typeof b === 'number')
    return Object.is(a, b) || Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a))
      ? null
      : `${path}: ${a} ${b}`;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return a === b ? null : `${path}: ${JSON.stringify(a)} ${JSON.stringify(b)}`;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  for (const key of keys) {
    const found = difference(
      (a as Record<string, unknown>)[key],
      (b as Record<string, unknown>)[key],
      `${path}/${key}`,
    );
    if (found) return found;
  }
  return null;
}

/** What a survey finds, or why it finds nothing. */
function attempt<T>(work: () => T): T | string {
  try {
    return work();
  } catch (error) {
    return (error as Error).message;
  }
}

describe('a survey after an edit', () => {
  it.each(['winter-splash', 'sign-in', 'notice'])(
    'of %s finds what one from scratch finds, after any edits',
    (scene) => {
      fc.assert(
        fc.property(fc.array(fc.tuple(edit, fc.boolean()), { minLength: 1, maxLength: 4 }), (edits) => {
          let input = start(scene);
          let earlier: Earlier | null = surveyAgain(input, cases, null);
          for (const [change, goesOn] of edits) {
            const next = change(input);
            const asked = {
              ...next,
              scene: structuredClone(next.scene),
              pictures: structuredClone(next.pictures),
            };
            const fresh = attempt(() => survey(next, cases));
            const results: CaseResult[] = [];
            const work = goesOn ? surveyRunning : surveyAgain;
            const again = attempt(() => work(asked, cases, earlier, (r) => results.push(r)));
            if (typeof fresh === 'string' || typeof again === 'string') {
              expect(again).toEqual(fresh);
              continue;
            }
            expect(difference(results, fresh)).toBeNull();
            if (!goesOn) expect(resultsOf(again, cases)).toEqual(results);
            input = next;
            earlier = again;
          }
        }),
        { numRuns: 50 },
      );
    },
    120_000,
  );

  it('changes nothing of the survey before it', () => {
    const input = start('winter-splash');
    const earlier = surveyAgain(input, cases, null);
    const before = structuredClone([...earlier.found.values()].map((f) => f.result));
    const moved = onLayer(
      2,
      (l) => isPlaced(l) && l.placing.y.kind === 'middle' && (l.placing.y.shift = lu(90)),
    );
    surveyAgain(moved(input), cases, earlier);
    expect([...earlier.found.values()].map((f) => f.result)).toEqual(before);
  });

  it('is not kept while the edit goes on, but where the one before says nothing of the scene', () => {
    const input = start('winter-splash');
    const earlier = surveyAgain(input, cases, null);
    const other = start('sign-in');
    let seen = 0;
    const next = (asked: SurveyInput) => surveyRunning(asked, cases, earlier, () => seen++);
    expect(next(onLayer(2, (l) => (l.opacity = 0.5))(input))).toBe(earlier);
    const kept = next(other);
    expect(kept.input.scene.id).toBe('sign-in');
    expect(kept.found.size).toBe(cases.length);
    expect(seen).toBe(2 * cases.length);
  });

  it('takes over whole what an edit does not reach, and no more', () => {
    const input = start('winter-splash');
    const earlier = surveyAgain(input, cases, null);
    const same = surveyAgain(structuredClone({ ...input, fonts: null, pixels: null }), cases, {
      ...earlier,
      input: { ...input, fonts: null, pixels: null },
    });
    const thinned = onLayer(2, (l) => (l.opacity = 0.5));
    const after = surveyAgain(thinned(input), cases, earlier);
    for (const c of cases) {
      const [was, is, thin] = [earlier, same, after].map((s) => s.found.get(c.id)!.result);
      expect(is).toBe(was);
      const kept = thin!.layers.map((l, i) => l === was!.layers[i]);
      expect(kept).toEqual([true, true, false, true]);
    }
  });
});
