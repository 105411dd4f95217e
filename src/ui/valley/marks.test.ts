import fc from 'fast-check';
import type { Mark } from '@/core/solve/mark';
import { distinct } from './marks';

const losses = (loss: number) => ({ crop: loss, bare: 0, distortion: 0, 'keep-lost': 0 });
const clear = { crop: 'clear', bare: 'clear', distortion: 'clear', 'keep-lost': 'clear' } as const;
const markAt = (i: number, ratio: number, loss: number, fails = false): Mark =>
  ({
    caseId: `s${i}.0.light`,
    ratio,
    losses: losses(loss),
    outcomes: fails ? { ...clear, crop: 'fail' } : clear,
    besides: clear,
    solid: true,
  }) as unknown as Mark;
const placeOf = (m: Mark) => ({ x: m.ratio * 100, y: m.losses.crop * 100 });

describe('marks that can be told apart', () => {
  it('are all of them where there are few', () => {
    const few = Array.from({ length: 300 }, (_, i) => markAt(i, 1, 0.5));
    expect(distinct(few, 'crop', placeOf, undefined)).toBe(few);
  });

  it('leave no place, look or outcome out, and hold the chosen one', () => {
    const spot = fc.tuple(fc.integer({ min: 30, max: 80 }), fc.integer({ min: 0, max: 9 }), fc.boolean());
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1001, maxLength: 1500 }), fc.nat(1000), (spots, at) => {
        const marks = spots.map(([x, y, fails], i) => markAt(i, x / 100, y / 100, fails));
        const chosen = marks[at]!.caseId;
        const left = distinct(marks, 'crop', placeOf, chosen);
        const said = (list: readonly Mark[]) =>
          new Set(list.map((m) => `${m.ratio} ${m.losses.crop} ${m.outcomes.crop}`));
        expect(said(left)).toEqual(said(marks));
        expect(left.filter((m) => m.caseId === chosen)).toHaveLength(1);
        expect(left.length).toBeLessThanOrEqual(said(marks).size + 1);
      }),
      { numRuns: 20 },
    );
  });
});
