import fc from 'fast-check';
import { rect } from '../testing/arbitraries';
import { snapTo } from './snap';

const screen = { x: 0, y: 0, width: 300, height: 600 };
const box = { x: 20, y: 40, width: 60, height: 30 };

describe('a layer that is moved near something', () => {
  it('catches at the middle, at edges and at thirds of a region', () => {
    const marks = [{ rect: screen, thirds: true }];
    // Its middle is at 50 across.
    expect(snapTo(box, { x: 97, y: 0 }, marks, 5)).toEqual({
      by: { x: 100, y: 0 },
      lines: [{ axis: 'x', at: 150 }],
    });
    expect(snapTo(box, { x: -18, y: -37 }, marks, 5)).toMatchObject({ by: { x: -20, y: -40 } });
    expect(snapTo(box, { x: 52, y: 0 }, marks, 5)).toMatchObject({ by: { x: 50 }, lines: [{ at: 100 }] });
  });

  it('catches at other layers, by edges and middles but not by thirds', () => {
    const marks = [{ rect: { x: 100, y: 200, width: 90, height: 90 } }];
    expect(snapTo(box, { x: 78, y: 0 }, marks, 4)).toMatchObject({ by: { x: 80 }, lines: [{ at: 100 }] });
    expect(snapTo(box, { x: 50 + 60 - 8, y: 0 }, marks, 1).lines).toEqual([]);
  });

  it('goes where it is moved where nothing is within reach', () => {
    expect(snapTo(box, { x: 33, y: 21 }, [{ rect: screen }], 2)).toEqual({ by: { x: 33, y: 21 }, lines: [] });
  });

  it('is never taken further than the reach, and lies on every line that is named', () => {
    const way = fc.double({ min: -400, max: 400, noNaN: true });
    fc.assert(
      fc.property(rect(), fc.array(rect(), { maxLength: 4 }), way, way, (own, others, x, y) => {
        const { by, lines } = snapTo(
          own,
          { x, y },
          others.map((r) => ({ rect: r, thirds: true })),
          6,
        );
        expect(Math.abs(by.x - x)).toBeLessThanOrEqual(6 + 1e-9);
        expect(Math.abs(by.y - y)).toBeLessThanOrEqual(6 + 1e-9);
        for (const { axis, at } of lines) {
          const start = own[axis] + by[axis];
          const length = axis === 'x' ? own.width : own.height;
          const off = [start, start + length / 2, start + length].map((p) => Math.abs(p - at));
          expect(Math.min(...off)).toBeLessThan(1e-6);
        }
      }),
    );
  });
});
