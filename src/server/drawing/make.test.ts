import fc from 'fast-check';
import sharp, { type Sharp } from 'sharp';
import { pxOfPart, type DerivationAsked, Derivation } from '@/core/pictures/derive';
import type { KeptFile } from '@/core/pictures/kept-file';
import { readOriginal } from '../blobs';
import { keepFile } from '../importing/picture';
import { ownStore } from '../testing/store';
import { make } from './make';

ownStore();

const made = async (
  file: KeptFile,
  asked: Omit<Extract<DerivationAsked, { make: 'size' }>, 'make' | 'hash'>,
) => make({ asked: Derivation.parse({ make: 'size', hash: file.hash, ...asked }), file });
const rawOf = (image: Sharp | Buffer) =>
  (Buffer.isBuffer(image) ? sharp(image) : image).ensureAlpha().raw().toBuffer();

/** A grey picture by its values, row after row, 0..255. */
const grey = (width: number, height: number, at: (x: number, y: number) => number) => {
  const data = Buffer.alloc(width * height);
  for (let i = 0; i < data.length; i++) data[i] = at(i % width, Math.floor(i / width));
  return sharp(data, { raw: { width, height, channels: 1 } });
};
const keepGrey = async (...how: Parameters<typeof grey>) =>
  keepFile(
    await grey(...how)
      .toColourspace('srgb')
      .png()
      .toBuffer(),
    'grey.png',
  );

/** Source: Turkowski, Filters for Common Resampling Tasks (1990): sinc(x) · sinc(x / 3) within 3 px. */
const lanczos3 = (x: number): number => {
  if (x === 0) return 1;
  return Math.abs(x) < 3 ? (3 * Math.sin(Math.PI * x) * Math.sin((Math.PI * x) / 3)) / (Math.PI * x) ** 2 : 0;
};

/** A row of values in another length, worked out point by point; what lies outside goes on as the last value. */
function resampledRow(row: readonly number[], to: number): number[] {
  const times = row.length / to;
  return Array.from({ length: to }, (_, i) => {
    const middle = (i + 0.5) * times;
    let [sum, weights] = [0, 0];
    for (let x = Math.floor(middle - 3 * times) - 1; x <= middle + 3 * times + 1; x++) {
      const weight = lanczos3((x + 0.5 - middle) / times);
      sum += weight * row[Math.max(0, Math.min(row.length - 1, x))]!;
      weights += weight;
    }
    return sum / weights;
  });
}

const RATIOS = [2, 3, 1.5] as const;
const SIDE = 96;
const clipped = (v: number) => Math.max(0, Math.min(255, v));

describe('a file in another size', () => {
  it('of a checker of single px is an even grey, and twice as bright where light is averaged', async () => {
    const checker = await keepGrey(SIDE, SIDE, (x, y) => ((x + y) % 2) * 255);
    for (const ratio of RATIOS) {
      const side = SIDE / ratio;
      const plain = await rawOf(await made(checker, { widthPx: side, heightPx: side }));
      const linear = await rawOf(await made(checker, { widthPx: side, heightPx: side, linear: true }));
      const middle = (side / 2) * (side + 1) * 4;
      // Of values the mean is 127.5; of light it is half, which stands for 188 (IEC 61966-2-1).
      expect(Math.abs(plain[middle]! - 127.5)).toBeLessThanOrEqual(1.5);
      expect(Math.abs(linear[middle]! - 188)).toBeLessThanOrEqual(1.5);
    }
  });

  it('of a frame of a single px has it where the filter puts it, to a step or two of 255', async () => {
    const at = (i: number) => (i === 0 || i === SIDE - 1 ? 0 : 255);
    const frame = await keepGrey(SIDE, SIDE, (x, y) => Math.min(at(x), at(y)));
    const row = Array.from({ length: SIDE }, (_, i) => at(i));
    for (const ratio of RATIOS) {
      const side = SIDE / ratio;
      const data = await rawOf(await made(frame, { widthPx: side, heightPx: side }));
      // Half way down there is the frame at both ends, and nothing else.
      const found = Array.from({ length: side }, (_, x) => data[((side / 2) * side + x) * 4]!);
      const wanted = resampledRow(row, side).map(clipped);
      for (const [x, value] of found.entries()) expect(Math.abs(value - wanted[x]!)).toBeLessThanOrEqual(2.5);
    }
  });

  it('of any part is what the library of images makes of the same rectangle', async () => {
    let state = 7;
    const noise = await keepGrey(
      90,
      70,
      () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) >>> 24,
    );
    const share = fc.double({ min: 0, max: 0.6, noNaN: true });
    const length = fc.double({ min: 0.1, max: 0.4, noNaN: true });
    const px = fc.integer({ min: 1, max: 120 });
    const original = await readOriginal(noise.hash);
    await fc.assert(
      fc.asyncProperty(
        share,
        share,
        length,
        length,
        px,
        px,
        async (x, y, width, height, widthPx, heightPx) => {
          const part = { x, y, width, height };
          const r = pxOfPart(part, noise);
          const wanted = sharp(original)
            .extract({ left: r.x, top: r.y, width: r.width, height: r.height })
            .resize(widthPx, heightPx, { fit: 'fill', kernel: 'lanczos3' })
            .toColourspace('srgb');
          const found = await made(noise, { widthPx, heightPx, part });
          expect((await rawOf(found)).equals(await rawOf(wanted))).toBe(true);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('of a part of a drawing shows that part, sharp at any size', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><rect width="20" height="20" fill="#f00"/><rect x="20" width="20" height="20" fill="#00f"/></svg>';
    const drawing = await keepFile(Buffer.from(svg), 'two.svg');
    const right = { x: 0.25, y: 0, width: 0.5, height: 1 };
    const data = await rawOf(await made(drawing, { widthPx: 400, heightPx: 400, part: right }));
    const at = (x: number) => [...data.subarray((200 * 400 + x) * 4).subarray(0, 4)];
    expect([at(0), at(190), at(209), at(399)]).toEqual([
      [255, 0, 0, 255],
      [255, 0, 0, 255],
      [0, 0, 255, 255],
      [0, 0, 255, 255],
    ]);
  });
});

describe('what a file keeps of its master', () => {
  const photo = async () =>
    keepFile(
      await sharp({ create: { width: 60, height: 40, channels: 3, background: '#30a050' } })
        .withIccProfile('p3')
        .withExif({ IFD0: { Copyright: 'Larkmoor Ferries' } })
        .png()
        .toBuffer(),
      'photo.png',
    );
  const size = { widthPx: 30, heightPx: 20 };

  it('is nothing, its profile, or all', async () => {
    const file = await photo();
    const of = async (keep?: 'profile' | 'everything') =>
      sharp(await made(file, { ...size, ...(keep && { keep }) })).metadata();
    expect(await of()).toMatchObject({ space: 'srgb', width: 30, height: 20, hasProfile: false });
    expect((await of()).exif).toBeUndefined();
    expect((await of('profile')).hasProfile).toBe(true);
    expect((await of('profile')).exif).toBeUndefined();
    expect((await of('everything')).exif).toBeDefined();
    // Its numbers are those of the profile: they are only kept where it is.
    const numbersOf = (bytes: Buffer) => rawOf(sharp(bytes).keepIccProfile());
    const kept = await numbersOf(await made(file, { ...size, keep: 'profile' }));
    const plain = await numbersOf(await made(file, size));
    const original = await numbersOf(await readOriginal(file.hash));
    expect(Math.abs(kept[0]! - original[0]!)).toBeLessThanOrEqual(1);
    expect(Math.abs(plain[0]! - kept[0]!)).toBeGreaterThan(3);
  });

  it('stands on a ground where that is asked for, without alpha', async () => {
    const half = await sharp({
      create: { width: 20, height: 20, channels: 4, background: { r: 255, g: 0, b: 0, alpha: 0.5 } },
    })
      .png()
      .toBuffer();
    const file = await keepFile(half, 'half.png');
    const flat = await made(file, { widthPx: 10, heightPx: 10, ground: '#0000ff' });
    expect(await sharp(flat).metadata()).toMatchObject({ hasAlpha: false, width: 10 });
    const [r, g, b] = await rawOf(flat);
    expect([Math.abs(r! - 128), g, Math.abs(b! - 127)]).toEqual([
      expect.closeTo(0, -0.5),
      0,
      expect.closeTo(0, -0.5),
    ]);
  });
});
