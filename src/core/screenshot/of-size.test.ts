import * as fc from 'fast-check';
import { casesOf } from '../screens/cases';
import { SCREENS } from '../testing/scenes';
import { casesOfSize, heldPx, scaleOf } from './of-size';

const CASES = casesOf(SCREENS, ['light']);

describe('The cases that a screenshot may be of', () => {
  it('are those of its size, as they are held', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CASES), (c) => {
        const found = casesOfSize(CASES, heldPx(c));
        expect(found).toContain(c);
        for (const o of found) expect(heldPx(o)).toEqual(heldPx(c));
      }),
    );
  });

  it('are those of its shape where it was made smaller, and none of one that is larger', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CASES), fc.constantFrom(0.25, 0.5, 0.75), (c, by) => {
        const { width, height } = heldPx(c);
        const small = { width: Math.round(width * by), height: Math.round(height * by) };
        const same = CASES.some((o) => scaleOf(small, heldPx(o)) === 1);
        if (!same) expect(casesOfSize(CASES, small)).toContain(c);
        const [only] = casesOf([c.screen], ['light']).filter((o) => o.rotation === c.rotation);
        expect(casesOfSize([only!], { width: width * 2, height: height * 2 })).toEqual([]);
      }),
    );
  });

  it('are none for a shape that no screen has', () => {
    expect(casesOfSize(CASES, { width: 1000, height: 1001 })).toEqual([]);
  });
});
