import sharp from 'sharp';
import { compareFile } from './compare';

const WIDTH = 400;
const HEIGHT = 300;

/** An even ground with fine noise in one corner, which no encoder of few bytes keeps. */
function noisy(): Promise<Buffer> {
  const data = Buffer.alloc(WIDTH * HEIGHT * 3, 128);
  let state = 5;
  for (let y = 190; y < 280; y++)
    for (let x = 290; x < 380; x++)
      for (let c = 0; c < 3; c++) {
        state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
        data[(y * WIDTH + x) * 3 + c] = state >>> 24;
      }
  return sharp(data, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
    .png()
    .toBuffer();
}

const compared = async (quality: number) => {
  const bytes = await noisy();
  const encoding = { as: 'webp' as const, keep: { by: 'quality' as const, quality } };
  return compareFile({ hash: 'a', about: 'Noise', encoding }, () => Promise.resolve(bytes));
};

describe('a file before and after it is encoded', () => {
  it('is shown where it differs most: before, after and the difference, threefold', async () => {
    const { part, picture, was, bytes, quality, alike } = await compared(10);
    expect(part.width).toBe(96);
    expect(Math.abs(part.x - 287)).toBeLessThanOrEqual(8);
    expect(Math.abs(part.y - 187)).toBeLessThanOrEqual(8);
    const { data, info } = await sharp(picture).raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([3 * 96 * 3 + 24, 96 * 3]);
    // The first third is the file itself, each pixel a square of three.
    const original = await sharp(await noisy())
      .raw()
      .toBuffer();
    const at = (x: number, y: number) => [...data.subarray((y * info.width + x) * 4).subarray(0, 3)];
    const own = (x: number, y: number) => [...original.subarray((y * WIDTH + x) * 3).subarray(0, 3)];
    expect(at(151, 151)).toEqual(own(part.x + 50, part.y + 50));
    expect(at(152, 150)).toEqual(at(151, 151));
    expect(was).toBeGreaterThan(bytes);
    expect(quality).toBe(10);
    expect(alike).toBeLessThan(1);
  });

  it('differs less at more quality', async () => {
    const [low, high] = [await compared(5), await compared(95)];
    expect(high.alike).toBeGreaterThan(low.alike);
    expect(high.bytes).toBeGreaterThan(low.bytes);
  });
});
