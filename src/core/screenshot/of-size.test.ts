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
      fc.property(fc.constantFrom(...CASES), fc.double({ min: 0.1, max: 0.95, noNaN: true }), (c, by) => {
        const { width, height } = heldPx(c);
        const small = { width: Math.round(width * by), height: Math.round(height * by) };
        const isOther = CASES.some(
          (o) => heldPx(o).width === small.width && heldPx(o).height === small.height,
        );
        if (!isOther) expect(casesOfSize(CASES, small)).toContain(c);
        expect(Math.abs(scaleOf(small, heldPx(c))! - by) * width).toBeLessThanOrEqual(1);
        const [only] = casesOf([c.screen], ['light']).filter((o) => o.rotation === c.rotation);
        expect(casesOfSize([only!], { width: width * 2, height: height * 2 })).toEqual([]);
      }),
    );
  });

  it('are none for a shape that no screen has', () => {
    expect(casesOfSize(CASES, { width: 1000, height: 1001 })).toEqual([]);
  });
});
