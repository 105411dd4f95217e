import fc from 'fast-check';
import { differenceAt, worstPart } from './worst-part';
import type { Raster } from './raster';

const plain = (width: number, height: number): Raster => ({
  width,
  height,
  data: new Uint8Array(width * height * 4).fill(255),
});

describe('where two pictures differ most', () => {
  it('is around what was changed, wherever that is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 56 }), fc.integer({ min: 0, max: 36 }), (x, y) => {
        const [one, two] = [plain(60, 40), plain(60, 40)];
        for (let j = 0; j < 4; j++) for (let i = 0; i < 4; i++) two.data[((y + j) * 60 + x + i) * 4] = 0;
        const part = worstPart(one, two, 16);
        expect(part).toMatchObject({ width: 16, height: 16 });
        expect(x).toBeGreaterThanOrEqual(part.x);
        expect(x + 4).toBeLessThanOrEqual(part.x + 16 + 3);
        expect(y).toBeGreaterThanOrEqual(part.y);
        expect(y + 4).toBeLessThanOrEqual(part.y + 16 + 3);
      }),
    );
  });

  it('is all of small ones, and nothing differs where nothing is seen', () => {
    expect(worstPart(plain(10, 6), plain(10, 6), 16)).toEqual({ x: 0, y: 0, width: 10, height: 6 });
    const [one, two] = [plain(1, 1), plain(1, 1)];
    one.data.set([10, 200, 30, 0]);
    two.data.set([250, 0, 90, 0]);
    expect(differenceAt(one, two, 0)).toBe(0);
    two.data[3] = 255;
    expect(differenceAt(one, two, 0)).toBe(255);
    expect(() => worstPart(plain(2, 2), plain(3, 2), 2)).toThrow(RangeError);
  });
});
