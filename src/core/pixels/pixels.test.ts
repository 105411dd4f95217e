import fc from 'fast-check';
import { ciede2000, contrastRatio, labOf, luminance, over } from './colour';
import { inkOf, paddingOf } from './ink';
import { hexOf, rgbaOf, type Raster } from './raster';
import { statisticsOf } from './statistics';
import { meanOf, sumsOf } from './sums';

const raster: fc.Arbitrary<Raster> = fc
  .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }))
  .chain(([width, height]) =>
    fc
      .uint8Array({ minLength: width * height * 4, maxLength: width * height * 4 })
      .map((data) => ({ width, height, data })),
  );
const alphaAt = ({ data, width }: Raster, x: number, y: number) => data[(y * width + x) * 4 + 3]!;

describe('the mean of a rectangle', () => {
  it('is that of its pixels, counted one by one by how much of each lies in it', () => {
    const share = fc.double({ min: -0.3, max: 1.3, noNaN: true });
    fc.assert(
      fc.property(raster, share, share, share, share, (image, ax, ay, bx, by) => {
        const [x0, x1] = [ax * image.width, bx * image.width].toSorted((a, b) => a - b) as [number, number];
        const [y0, y1] = [ay * image.height, by * image.height].toSorted((a, b) => a - b) as [number, number];
        const rect = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
        const sum = { r: 0, g: 0, b: 0, alpha: 0, area: 0 };
        for (let y = 0; y < image.height; y++) {
          for (let x = 0; x < image.width; x++) {
            const across = Math.max(0, Math.min(x1, x + 1) - Math.max(x0, x));
            const down = Math.max(0, Math.min(y1, y + 1) - Math.max(y0, y));
            const alpha = (alphaAt(image, x, y) / 255) * across * down;
            const i = (y * image.width + x) * 4;
            sum.r += image.data[i]! * alpha;
            sum.g += image.data[i + 1]! * alpha;
            sum.b += image.data[i + 2]! * alpha;
            sum.alpha += alpha;
            sum.area += across * down;
          }
        }
        const mean = meanOf(sumsOf(image), rect);
        if (sum.area === 0) expect(mean?.a ?? 0).toBeCloseTo(0, 9);
        // a sliver of a pixel is the difference of sums that are some 1e12 times as large: nothing is left of it
        if (sum.area < 1e-6) return;
        expect(mean!.a).toBeCloseTo(sum.alpha / sum.area, 5);
        if (sum.alpha / sum.area < 1e-3 || sum.area < 1e-3) return;
        for (const c of ['r', 'g', 'b'] as const) expect(mean![c]).toBeCloseTo(sum[c] / sum.alpha, 2);
      }),
      { numRuns: 300 },
    );
  });
});

describe('ink', () => {
  it('lies in the smallest rectangle that holds every pixel of a tenth of alpha, found by trying all', () => {
    fc.assert(
      fc.property(raster, (image) => {
        fc.pre([...image.data].some((v, i) => i % 4 === 3 && v < 255));
        const inked: [number, number, number][] = [];
        for (let y = 0; y < image.height; y++)
          for (let x = 0; x < image.width; x++)
            if (alphaAt(image, x, y) >= 25.5) inked.push([x, y, alphaAt(image, x, y)]);
        const ink = inkOf(image);
        if (inked.length === 0) return expect(ink).toBeNull();
        const { bounds, centroid } = ink!;
        const xs = inked.map(([x]) => x);
        const ys = inked.map(([, y]) => y);
        expect(bounds.x * image.width).toBeCloseTo(Math.min(...xs), 9);
        expect((bounds.x + bounds.width) * image.width).toBeCloseTo(Math.max(...xs) + 1, 9);
        expect(bounds.y * image.height).toBeCloseTo(Math.min(...ys), 9);
        expect((bounds.y + bounds.height) * image.height).toBeCloseTo(Math.max(...ys) + 1, 9);
        const weight = inked.reduce((sum, [, , a]) => sum + a, 0);
        const meanX = inked.reduce((sum, [x, , a]) => sum + (x + 0.5) * a, 0) / weight;
        expect(centroid.x * image.width).toBeCloseTo(meanX, 9);
      }),
    );
  });

  it('of an opaque picture is what differs from its border', () => {
    const data = new Uint8Array(8 * 4 * 4).fill(255);
    for (const [x, y] of [
      [2, 1],
      [3, 1],
      [3, 2],
    ])
      data.set([10, 20, 30], (y! * 8 + x!) * 4);
    const ink = inkOf({ width: 8, height: 4, data })!;
    expect(ink.by).toBe('border');
    expect(paddingOf(ink)).toEqual({ left: 0.25, right: 0.5, top: 0.25, bottom: 0.25 });
    expect(inkOf({ width: 2, height: 2, data: new Uint8Array(16).fill(255) })).toBeNull();
  });
});

describe('colours', () => {
  it('have the contrast that WCAG gives', () => {
    const ratio = (a: string, b: string) => contrastRatio(rgbaOf(a), rgbaOf(b));
    expect(ratio('#000000', '#ffffff')).toBeCloseTo(21, 9);
    expect(ratio('#777777', '#ffffff')).toBeCloseTo(4.478, 3);
    expect(ratio('#767676', '#ffffff')).toBeGreaterThan(4.5);
    expect(luminance(rgbaOf('#ff0000'))).toBeCloseTo(0.2126, 9);
  });

  it('mix as they are coded, and come back from their codes', () => {
    expect(over({ r: 255, g: 255, b: 255, a: 0.5 }, { r: 0, g: 0, b: 0 })).toMatchObject({ r: 127.5, a: 1 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const hex = `#${n.toString(16).padStart(6, '0')}`;
        expect(hexOf(rgbaOf(hex))).toBe(hex);
        expect(contrastRatio(rgbaOf(hex), rgbaOf(hex))).toBe(1);
      }),
    );
    expect(rgbaOf('#11223380').a).toBeCloseTo(0.502, 3);
  });

  it('have the L*a*b* of their published values', () => {
    const white = labOf(rgbaOf('#ffffff'));
    expect([white.l, white.a, white.b].map((v) => Math.abs(Math.round(v * 100) / 100))).toEqual([100, 0, 0]);
    const red = labOf(rgbaOf('#ff0000'));
    expect(red.l).toBeCloseTo(53.24, 1);
    expect(red.a).toBeCloseTo(80.09, 1);
    expect(red.b).toBeCloseTo(67.2, 1);
  });

  // Sharma, Wu and Dalal, “The CIEDE2000 color-difference formula”, 2005, table 1.
  it.each([
    [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
    [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
    [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
    [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
    [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
    [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
    [50, 0, 0, 50, -1, 2, 2.3669],
    [50, -1, 2, 50, 0, 0, 2.3669],
    [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
    [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
    [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
    [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
    [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
    [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
    [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
    [50, 2.5, 0, 50, 0, -2.5, 4.3065],
    [50, 2.5, 0, 73, 25, -18, 27.1492],
    [50, 2.5, 0, 61, -5, 29, 22.8977],
    [50, 2.5, 0, 56, -27, -3, 31.903],
    [50, 2.5, 0, 58, 24, 15, 19.4535],
    [50, 2.5, 0, 50, 3.1736, 0.5854, 1],
    [50, 2.5, 0, 50, 3.2972, 0, 1],
    [50, 2.5, 0, 50, 1.8634, 0.5757, 1],
    [50, 2.5, 0, 50, 3.2592, 0.335, 1],
    [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
    [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
    [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
    [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
    [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
    [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
    [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
    [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
    [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
    [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
  ])('differ by CIEDE2000: %d %d %d and %d %d %d', (l1, a1, b1, l2, a2, b2, expected) => {
    const [one, two] = [
      { l: l1, a: a1, b: b1 },
      { l: l2, a: a2, b: b2 },
    ];
    expect(ciede2000(one, two)).toBeCloseTo(expected, 4);
    expect(ciede2000(two, one)).toBeCloseTo(expected, 4);
  });
});

describe('statistics', () => {
  it('say ink, average and edges together', () => {
    const data = new Uint8Array(10 * 10 * 4);
    for (let y = 2; y < 10; y++) for (let x = 0; x < 5; x++) data.set([200, 100, 50, 255], (y * 10 + x) * 4);
    expect(statisticsOf({ width: 10, height: 10, data })).toMatchObject({
      ink: {
        by: 'alpha',
        bounds: { x: 0, y: 0.2, width: 0.5, height: 0.8 },
        centroid: { x: 0.25, y: 0.6 },
        colour: '#c86432',
        border: null,
      },
      average: '#c86432',
      edges: { left: '#c86432', right: null, top: null, bottom: '#c86432' },
    });
  });
});
