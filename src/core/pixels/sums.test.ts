import fc from 'fast-check';
import type { Raster } from './raster';
import { gridSums, sumOfAll, sumsOf, sumsOnGrid } from './sums';

const raster = (opaque: boolean): fc.Arbitrary<Raster> =>
  fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 9 })).chain(([width, height]) =>
    fc.uint8Array({ minLength: width * height * 4, maxLength: width * height * 4 }).map((bytes) => ({
      width,
      height,
      data: bytes.map((b, i) => (opaque && i % 4 === 3 ? 255 : b)),
    })),
  );

/** Ascending lines, some close together, some on the edges of pixels, some outside the picture. */
const lines = (size: number) =>
  fc
    .array(
      fc.oneof(
        fc.integer({ min: -2, max: size + 2 }),
        fc.double({ min: -2, max: size + 2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
      ),
      { minLength: 2, maxLength: 9 },
    )
    .map((list) => list.toSorted((a, b) => a - b));

const overlap = (a0: number, a1: number, b0: number, b1: number) =>
  Math.max(0, Math.min(a1, b1) - Math.max(a0, b0));

/** The sums of one rectangle, pixel by pixel. */
function counted({ width, height, data }: Raster, x0: number, x1: number, y0: number, y1: number) {
  const sum = [0, 0, 0, 0];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4;
      const share = overlap(x0, x1, x, x + 1) * overlap(y0, y1, y, y + 1) * (data[at + 3]! / 255);
      for (let c = 0; c < 3; c++) sum[c]! += data[at + c]! * share;
      sum[3]! += share;
    }
  }
  return sum;
}

describe.each([true, false])('sums on a grid, of a picture that is opaque: %s', (opaque) => {
  it('are those of its pixels, each as much as it lies in the rectangle', () => {
    const asked = raster(opaque).chain((image) =>
      fc.tuple(
        fc.constant(image),
        lines(image.width),
        lines(image.height),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
      ),
    );
    fc.assert(
      fc.property(asked, ([image, xs, ys, scale]) => {
        const sums = sumsOf(image);
        if (opaque) expect(sums.alpha).toBeNull();
        const { colour, alpha } = sumsOnGrid(sums, xs, ys, scale);
        for (let j = 0, i = 0; j < ys.length - 1; j++) {
          for (let k = 0; k < xs.length - 1; k++, i++) {
            const is = [colour[i * 3]!, colour[i * 3 + 1]!, colour[i * 3 + 2]!, alpha[i]!];
            counted(image, xs[k]!, xs[k + 1]!, ys[j]!, ys[j + 1]!).forEach((value, c) =>
              expect(Math.abs(is[c]! - value * scale)).toBeLessThan(1e-3),
            );
          }
        }
      }),
      { numRuns: 200 },
    );
  });

  it('are written into the room that is handed in, whatever was there', () => {
    fc.assert(
      fc.property(raster(opaque), (image) => {
        const [xs, ys] = [
          [0, image.width / 3, image.width],
          [0, image.height / 2, image.height],
        ];
        const room = gridSums(4);
        room.colour.fill(7);
        room.alpha.fill(7);
        const sums = sumsOf(image);
        expect(sumsOnGrid(sums, xs, ys, 1, room)).toBe(room);
        expect(room).toEqual(sumsOnGrid(sums, xs, ys));
        const all = sumOfAll(sums);
        expect(room.alpha.reduce((a, b) => a + b, 0)).toBeCloseTo(all.alpha, 4);
      }),
      { numRuns: 50 },
    );
  });
});
