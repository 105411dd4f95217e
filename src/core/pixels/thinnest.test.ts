import fc from 'fast-check';
import type { Raster } from './raster';
import { thinnestOf } from './thinnest';

/** A see-through raster with ink wherever a shape says so, each pixel by the share of 4 × 4 points of it that lie inside. */
function drawn(side: number, isInside: (x: number, y: number) => boolean): Raster {
  const data = new Uint8Array(side * side * 4);
  const POINTS = 4;
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      let count = 0;
      for (let j = 0; j < POINTS; j++)
        for (let i = 0; i < POINTS; i++)
          if (isInside(x + (i + 0.5) / POINTS, y + (j + 0.5) / POINTS)) count++;
      data[(y * side + x) * 4 + 3] = Math.round((count / POINTS ** 2) * 255);
    }
  return { width: side, height: side, data };
}

const SIDE = 64;
const MID = SIDE / 2;

describe('the thinnest line of a picture', () => {
  it('is that of a ring, of whatever thickness, to half a px', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.5, max: 12, noNaN: true }), (thick) => {
        const ring = drawn(SIDE, (x, y) => {
          const r = Math.hypot(x - MID, y - MID);
          return r < 28 && r > 28 - thick;
        });
        expect(thinnestOf(ring)).toBeGreaterThan(thick * 0.9 - 0.5);
        expect(thinnestOf(ring)).toBeLessThan(thick * 1.1 + 0.5);
      }),
      { numRuns: 12 },
    );
  });

  it('is that of a bar however it is turned, up to a twelfth more between two directions', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: Math.PI, noNaN: true }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        (angle, thick) => {
          const bar = drawn(SIDE, (x, y) => {
            const across = (x - MID) * Math.sin(angle) - (y - MID) * Math.cos(angle);
            const along = (x - MID) * Math.cos(angle) + (y - MID) * Math.sin(angle);
            return Math.abs(across) < thick / 2 && Math.abs(along) < 27;
          });
          expect(thinnestOf(bar)).toBeGreaterThan(thick * 0.75 - 0.5);
          expect(thinnestOf(bar)).toBeLessThan(thick * 1.09 + 0.8);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('is the hairline beside a solid shape, not the shape', () => {
    const both = drawn(SIDE, (x, y) => (x < 40 && y < 40) || (x > 50 && x < 51.5));
    expect(thinnestOf(both)).toBeCloseTo(1.5, 1);
  });

  it('is a good part of a solid disc and square: their edges are no lines', () => {
    expect(thinnestOf(drawn(SIDE, (x, y) => Math.hypot(x - MID, y - MID) < 26))).toBeGreaterThan(8);
    expect(thinnestOf(drawn(SIDE, (x, y) => x > 6 && x < 58 && y > 6 && y < 58))).toBeGreaterThan(6);
  });
});
