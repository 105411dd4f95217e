import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { QUALITIES } from '@/core/files/budget';
import { ssim } from '@/core/pixels/ssim';
import type { EncodedAs } from '@/formats/files/encoding';
import { encodeFiles, type SourceFile } from './encode';

/** A photograph, so to speak: hills of light with grain, which no encoder takes for nothing. */
async function photo(width: number, height: number, seed: number): Promise<Buffer> {
  const data = Buffer.alloc(width * height * 3);
  let state = seed * 2654435761 + 1;
  const grain = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32 - 0.5;
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++) {
        const hills = Math.sin((x / width) * (5 + c + seed)) + Math.cos((y / height) * (7 - c + seed / 2));
        data[(y * width + x) * 3 + c] = Math.max(0, Math.min(255, 128 + 55 * hills + 30 * grain()));
      }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
}

const bytesOf = new Map<string, Buffer>();
const read = (hash: string) => Promise.resolve(bytesOf.get(hash)!);
const keep = (bytes: Buffer): string => {
  const hash = createHash('sha256').update(bytes).digest('hex');
  bytesOf.set(hash, bytes);
  return hash;
};
const silent = () => {};
const total = (files: readonly { bytes: Buffer }[]) => files.reduce((sum, f) => sum + f.bytes.length, 0);

describe('files that are encoded within a budget', () => {
  it('meet 200 kB with 12 files of a photo, and no more quality would fit', async () => {
    const files: SourceFile[] = [];
    for (let n = 1; n <= 12; n++) {
      const bytes = await photo(32 * n, 24 * n, 3);
      files.push({ hash: keep(bytes), group: '', about: 'Photo' });
    }
    const budget = 200_000;
    const steps: number[] = [];
    const made = await encodeFiles(
      { files, as: 'webp', keep: { by: 'budget', bytes: budget, for: 'set' } },
      read,
      ({ done }) => steps.push(done),
    );
    expect(made).toHaveLength(12);
    expect(total(made)).toBeLessThanOrEqual(budget);
    const quality = made[0]!.quality;
    expect(new Set(made.map((f) => f.quality)).size).toBe(1);
    expect(quality).toBeGreaterThan(QUALITIES.least);
    expect(quality).toBeLessThan(QUALITIES.most);
    const more = await encodeFiles(
      { files, as: 'webp', keep: { by: 'quality', quality: quality + 1 } },
      read,
      silent,
    );
    expect(total(more)).toBeGreaterThan(budget);
    expect(steps.length).toBeGreaterThan(24);
    for (const { hash, bytes } of made) {
      const [was, is] = [await sharp(bytesOf.get(hash)).metadata(), await sharp(bytes).metadata()];
      expect([is.format, is.width, is.height]).toEqual(['webp', was.width, was.height]);
    }
  });

  it.each<[EncodedAs, number]>([
    ['webp', 2],
    ['jpeg', 3],
    ['png', 5],
    ['avif', 6],
  ])(
    'as %s, picture %i: trying every quality finds none that fits and is more like the picture',
    async (as, seed) => {
      const [width, height] = [32, 24];
      const hash = keep(await photo(width, height, seed));
      const files = [{ hash, group: '', about: 'Photo' }];
      const raw = (bytes: Buffer) => sharp(bytes).toColourspace('srgb').ensureAlpha().raw().toBuffer();
      const source = { width, height, data: await raw(bytesOf.get(hash)!) };
      const all: { bytes: number; alike: number }[] = [];
      for (let quality = QUALITIES.least as number; quality <= QUALITIES.most; quality++) {
        const [one] = await encodeFiles({ files, as, keep: { by: 'quality', quality } }, read, silent);
        const data = await raw(one!.bytes);
        all.push({ bytes: one!.bytes.length, alike: ssim(source, { width, height, data }) });
        expect(one!.alike).toBeCloseTo(all.at(-1)!.alike, 9);
      }
      const sizes = all.map((a) => a.bytes).toSorted((a, b) => a - b);
      for (const share of [0.3, 0.7]) {
        const budget = sizes[Math.floor(share * sizes.length)]!;
        const [made] = await encodeFiles(
          { files, as, keep: { by: 'budget', bytes: budget, for: 'file' } },
          read,
          silent,
        );
        expect(made!.bytes.length).toBeLessThanOrEqual(budget);
        const best = Math.max(...all.filter((a) => a.bytes <= budget).map((a) => a.alike));
        expect(made!.alike).toBeCloseTo(best, 9);
      }
    },
    120_000,
  );

  it('have a budget each where that is asked for', async () => {
    const files = [
      { hash: keep(await photo(60, 60, 7)), group: 'a', about: 'Photo' },
      { hash: keep(await photo(300, 300, 8)), group: 'b', about: 'Photo' },
    ];
    const made = await encodeFiles(
      { files, as: 'jpeg', keep: { by: 'budget', bytes: 9000, for: 'file' } },
      read,
      silent,
    );
    expect(made.map((f) => f.bytes.length <= 9000)).toEqual([true, true]);
    expect(made[0]!.quality).toBeGreaterThan(made[1]!.quality);
  });

  it('are refused in words where not even the least quality fits', async () => {
    const files = [{ hash: keep(await photo(300, 300, 9)), group: '', about: 'Photo' }];
    const asked = encodeFiles(
      { files, as: 'webp', keep: { by: 'budget', bytes: 100, for: 'set' } },
      read,
      silent,
    );
    await expect(asked).rejects.toThrow(
      /^1 file as WebP: .+ even at quality \d+, and .+ are allowed\. Allow more/,
    );
    await expect(asked).rejects.toMatchObject({ status: 422 });
  });
});
