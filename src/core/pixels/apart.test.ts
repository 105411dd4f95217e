import fc from 'fast-check';
import { apart } from './apart';
import { ciede2000, labOf } from './colour';
import type { Raster } from './raster';

const of = (...pixels: [number, number, number, number][]): Raster => ({
  width: pixels.length,
  height: 1,
  data: Uint8Array.from(pixels.flat()),
});
const byte = fc.nat(255);
const pixel = fc.tuple(byte, byte, byte, byte);

describe('how far two pictures lie apart', () => {
  it('is nothing for the same one, and the same both ways', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(pixel, pixel), { minLength: 1, maxLength: 20 }), (pairs) => {
        const [a, b] = [of(...pairs.map((p) => p[0])), of(...pairs.map((p) => p[1]))];
        expect(apart(a, a)).toBe(0);
        expect(apart(a, b)).toBeCloseTo(apart(b, a), 9);
      }),
    );
  });

  it('is the difference of two colours where each is of one', () => {
    const [a, b] = [
      { r: 200, g: 30, b: 60 },
      { r: 20, g: 140, b: 90 },
    ];
    const expected = ciede2000(labOf(a), labOf(b));
    expect(apart(of([200, 30, 60, 255]), of([20, 140, 90, 255]))).toBeCloseTo(expected, 12);
    // Half of the pixels differ.
    const half = apart(of([200, 30, 60, 255], [9, 9, 9, 255]), of([20, 140, 90, 255], [9, 9, 9, 255]));
    expect(half).toBeCloseTo(expected / 2, 12);
  });

  it('leaves out what nobody sees, and tells what shows on one ground alone', () => {
    expect(apart(of([255, 0, 0, 0]), of([0, 255, 0, 0]))).toBe(0);
    expect(apart(of([255, 255, 255, 255]), of([255, 255, 255, 0]))).toBeCloseTo(50, 0);
  });

  it('is not said of two sizes', () => {
    expect(() => apart(of([0, 0, 0, 0]), of([0, 0, 0, 0], [0, 0, 0, 0]))).toThrow(RangeError);
  });
});
