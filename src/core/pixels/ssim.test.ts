import fc from 'fast-check';
import type { Raster } from './raster';
import { ssim } from './ssim';

/** A grey picture from a value 0..255 for each place. */
const grey = (width: number, height: number, at: (x: number, y: number) => number): Raster => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : at((i >> 2) % width, Math.floor((i >> 2) / width)),
  ),
});

describe('structural similarity', () => {
  it('is 1 for the same picture, the same both ways, and never more', () => {
    const values = fc.array(fc.nat(255), { minLength: 20 * 16, maxLength: 20 * 16 });
    fc.assert(
      fc.property(values, values, (a, b) => {
        const [one, two] = [a, b].map((v) => grey(20, 16, (x, y) => v[y * 20 + x]!)) as [Raster, Raster];
        expect(ssim(one, one)).toBeCloseTo(1, 9);
        expect(ssim(one, two)).toBeCloseTo(ssim(two, one), 9);
        expect(ssim(one, two)).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 30 },
    );
  });

  it('of two flat greys is what their luminance term says', () => {
    const [a, b] = [grey(30, 30, () => 100), grey(30, 30, () => 120)];
    const c1 = 6.5025;
    expect(ssim(a, b)).toBeCloseTo((2 * 100 * 120 + c1) / (100 ** 2 + 120 ** 2 + c1), 6);
    // Also where the window does not fit in.
    const [c, d] = [grey(4, 4, () => 100), grey(4, 4, () => 120)];
    expect(ssim(c, d)).toBeCloseTo(ssim(a, b), 6);
  });

  it('falls as noise grows, and below nothing for a picture turned inside out', () => {
    const wave = (x: number, y: number) => 128 + 100 * Math.sin(x / 3) * Math.cos(y / 4);
    const noisy = (by: number) =>
      grey(64, 64, (x, y) =>
        Math.max(0, Math.min(255, wave(x, y) + by * (((x * 7919 + y * 104729) % 17) / 8 - 1))),
      );
    const clean = grey(64, 64, wave);
    const found = [0, 5, 15, 40].map((by) => ssim(clean, noisy(by)));
    expect(found).toEqual(found.toSorted((a, b) => b - a));
    expect(found[0]).toBeGreaterThan(0.999);
    expect(
      ssim(
        clean,
        grey(64, 64, (x, y) => 255 - wave(x, y)),
      ),
    ).toBeLessThan(0);
  });

  it('is not said of two sizes', () => {
    expect(() =>
      ssim(
        grey(4, 4, () => 0),
        grey(4, 5, () => 0),
      ),
    ).toThrow(RangeError);
  });
});
