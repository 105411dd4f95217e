import fc from 'fast-check';
import json from '../../../data/screens.json';
import { casesOf } from '../screens/cases';
import { readCatalogue } from '../screens/catalogue';
import { tellingOf, withChosen } from './alike';
import type { CaseSummary } from './summary';

const cases = casesOf(readCatalogue(json), ['light', 'dark']);
const outcomes = ['fail', 'warn', 'clear'] as const;
const measures = ['crop', 'keep-lost', 'enlargement'] as const;

/** What might have been found of every case. */
const found = fc
  .array(
    fc.record({
      outcome: fc.constantFrom(...outcomes),
      measure: fc.constantFrom(...measures),
      beyond: fc.double({ min: 0, max: 30, noNaN: true }),
      isSaid: fc.boolean(),
    }),
    { minLength: cases.length, maxLength: cases.length },
  )
  .map(
    (list) =>
      new Map(
        cases.map((c, i): [string, CaseSummary] => {
          const { outcome, measure, beyond, isSaid } = list[i]!;
          const headline = isSaid ? { layerId: 'a', measure, value: beyond, beyond, words: '' } : null;
          return [c.id, { id: c.id, outcome, headline }];
        }),
      ),
  );

describe('cases that tell most', () => {
  it('stand for all of them, each once, and none is worse than the one that stands for it', () => {
    fc.assert(
      fc.property(found, (summaries) => {
        const told = tellingOf(cases, summaries);
        const all = told.flatMap(({ shown, alike }) => [shown, ...alike]);
        expect(all.length).toBe(cases.length);
        expect(new Set(all).size).toBe(cases.length);
        for (const { shown, alike } of told) {
          const worst = summaries.get(shown.id)!;
          for (const c of alike) {
            const other = summaries.get(c.id)!;
            expect(c.appearance).toBe(shown.appearance);
            expect(other.outcome).toBe(worst.outcome);
            expect(other.headline?.measure).toBe(worst.headline?.measure);
            expect(other.headline?.beyond ?? 0).toBeLessThanOrEqual(worst.headline?.beyond ?? 0);
          }
        }
      }),
      { numRuns: 20 },
    );
  });

  it('show the worst of every outcome and measure that there is', () => {
    fc.assert(
      fc.property(found, (summaries) => {
        const told = tellingOf(cases, summaries).map(({ shown }) => summaries.get(shown.id)!);
        for (const outcome of outcomes)
          for (const measure of measures) {
            const beyond = (list: Iterable<CaseSummary>) =>
              [...list]
                .filter((s) => s.outcome === outcome && s.headline?.measure === measure)
                .map((s) => s.headline!.beyond);
            expect(Math.max(...beyond(told))).toBe(Math.max(...beyond(summaries.values())));
          }
      }),
      { numRuns: 20 },
    );
  });

  it('hold a chosen one by itself, and lose none by it', () => {
    fc.assert(
      fc.property(found, fc.nat(cases.length - 1), (summaries, i) => {
        const told = withChosen(tellingOf(cases, summaries), cases[i]!.id);
        expect(told.some(({ shown }) => shown === cases[i])).toBe(true);
        expect(new Set(told.flatMap(({ shown, alike }) => [shown, ...alike])).size).toBe(cases.length);
      }),
      { numRuns: 20 },
    );
  });
});
