import fc from 'fast-check';
import { detailOf, suggest } from './detail';
import type { Raster } from './raster';

/** A grey picture with a chequered patch; in px. */
function patched(
  width: number,
  height: number,
  patch: { x: number; y: number; w: number; h: number },
): Raster {
  const data = new Uint8Array(width * height * 4).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = x >= patch.x && y >= patch.y && x < patch.x + patch.w && y < patch.y + patch.h;
      const grey = inside && (x + y) % 2 === 0 ? 0 : 128;
      data.set([grey, grey, grey], (y * width + x) * 4);
    }
  return { width, height, data };
}

describe('detail', () => {
  it('of a picture that is all alike is not there', () => {
    expect(detailOf(patched(40, 30, { x: 0, y: 0, w: 0, h: 0 }))).toBeNull();
  });

  it('is found where the picture is busy: the patch within a cell, its middle within half of one', () => {
    const patch = fc.record({ x: fc.integer({ min: 4, max: 50 }), y: fc.integer({ min: 4, max: 30 }) });
    fc.assert(
      fc.property(patch, ({ x, y }) => {
        const [width, height, w, h] = [96, 72, 24, 18];
        const map = detailOf(patched(width, height, { x, y, w, h }))!;
        expect(map.shares.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
        const { keepArea: k, focalPoint: f } = suggest(map)!;
        const cell = 1 / 24;
        expect(Math.abs(k.x - x / width)).toBeLessThanOrEqual(cell + 1e-9);
        expect(Math.abs(k.y - y / height)).toBeLessThanOrEqual(cell + 1e-9);
        expect(Math.abs(k.x + k.width - (x + w) / width)).toBeLessThanOrEqual(cell + 1e-9);
        expect(Math.abs(k.y + k.height - (y + h) / height)).toBeLessThanOrEqual(cell + 1e-9);
        expect(Math.abs(f.x - (x + w / 2) / width)).toBeLessThanOrEqual(cell / 2 + 0.01);
        expect(Math.abs(f.y - (y + h / 2) / height)).toBeLessThanOrEqual(cell / 2 + 0.01);
      }),
      { numRuns: 40 },
    );
  });

  it('is suggested in the rectangle that no other one beats, all of them tried', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 5 }),
        fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 25, maxLength: 25 }),
        (columns, rows, weights) => {
          const own = weights.slice(0, columns * rows);
          const total = own.reduce((a, b) => a + b);
          const shares = Float64Array.from(own, (w) => w / total);
          const beyond = (l: number, r: number, t: number, b: number) => {
            let sum = 0;
            for (let y = t; y <= b; y++)
              for (let x = l; x <= r; x++) sum += shares[y * columns + x]! - 3 / own.length;
            return sum;
          };
          let best = -Infinity;
          for (let t = 0; t < rows; t++)
            for (let b = t; b < rows; b++)
              for (let l = 0; l < columns; l++)
                for (let r = l; r < columns; r++) best = Math.max(best, beyond(l, r, t, b));
          const suggestion = suggest({ columns, rows, shares });
          if (!suggestion) return expect(best).toBeLessThanOrEqual(1e-12);
          const { keepArea: k } = suggestion;
          const at = (v: number, n: number) => Math.round(v * n);
          const found = beyond(
            at(k.x, columns),
            at(k.x + k.width, columns) - 1,
            at(k.y, rows),
            at(k.y + k.height, rows) - 1,
          );
          expect(found).toBeCloseTo(best, 9);
        },
      ),
    );
  });
});
