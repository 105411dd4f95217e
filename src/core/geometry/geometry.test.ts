import fc from 'fast-check';
import { distances, inset, intersect, right, bottom, type Rect } from './rect';
import { roundHalfUp, snap } from './snap';
import { rect } from '../testing/arbitraries';

describe('rectangles', () => {
  it('intersect to the part both cover, or to nothing', () => {
    const a: Rect = { x: 0, y: 0, width: 10, height: 10 };
    expect(intersect(a, { x: 4, y: 6, width: 20, height: 2 })).toEqual({ x: 4, y: 6, width: 6, height: 2 });
    expect(intersect(a, { x: 10, y: 0, width: 5, height: 5 })).toBeNull();
  });

  it('intersect the same whichever comes first, and lie inside both', () => {
    fc.assert(
      fc.property(rect(), rect(), (a, b) => {
        const both = intersect(a, b);
        expect(intersect(b, a)).toEqual(both);
        if (!both) return;
        for (const gap of [...Object.values(distances(both, a)), ...Object.values(distances(both, b))]) {
          expect(gap).toBeGreaterThanOrEqual(-1e-9);
        }
      }),
    );
  });

  it('do not turn inside out when the insets are larger than they are', () => {
    const insets = { left: 8, right: 8, top: 1, bottom: 1 };
    expect(inset({ x: 0, y: 0, width: 10, height: 10 }, insets)).toEqual({ x: 8, y: 1, width: 0, height: 8 });
  });
});

describe('snapping', () => {
  it.each([
    [0.5, 1],
    [-0.5, 0],
    [1.49, 1],
    [-1.5, -1],
  ])('rounds %d half up to %d', (value, rounded) => expect(roundHalfUp(value)).toBe(rounded));

  it('never leaves a gap between two rectangles that share an edge, on any grid', () => {
    const density = fc.double({ min: 0.1, max: 4, noNaN: true });
    fc.assert(
      fc.property(rect(), density, fc.double({ min: 0, max: 1, noNaN: true }), (r, d, at) => {
        const cut = r.x + r.width * at;
        const left = snap({ ...r, width: cut - r.x }, d);
        const rest = snap({ ...r, x: cut, width: right(r) - cut }, d);
        expect(Math.abs(right(left) - rest.x)).toBeLessThanOrEqual(1e-6);
        expect(bottom(left)).toBe(bottom(rest));
      }),
    );
  });
});
