import sharp from 'sharp';
import { withEvenRoom } from '@/core/pictures/derive';
import { readOriginal } from '../blobs';
import { raster, statistics } from '../services/pictures';
import { ownStore } from '../testing/store';
import { deriveFile } from './derive';
import { keepFile } from './picture';

ownStore();

/** A red square of 700 px on nothing, off the middle of a file of 3000 × 2000 px. */
const logo = () => {
  const nothing = { r: 0, g: 0, b: 0, alpha: 0 };
  const square = { width: 700, height: 700, channels: 4 as const, background: '#f00' };
  return sharp({ create: { width: 3000, height: 2000, channels: 4, background: nothing } })
    .composite([{ input: { create: square }, left: 1001, top: 503 }])
    .png()
    .toBuffer();
};

describe('a file made from another', () => {
  it('has the size that is asked for, in the format of its master', async () => {
    const { hash } = await keepFile(await logo(), 'logo.png');
    const made = await deriveFile({ make: 'size', hash, widthPx: 750, heightPx: 500 });
    expect(made).toMatchObject({ type: 'png', widthPx: 750, heightPx: 500, transparent: true });
    const { ink } = await statistics(made.hash);
    // Resampling spreads an edge over a pixel.
    expect(Math.abs(ink!.bounds.x * 750 - 1001 / 4)).toBeLessThanOrEqual(1);
    expect(ink!.colour).toMatch(/^#f[ef]0[0-2]00$/);
  });

  it('is trimmed to the very pixels of the ink, which is placed in the file itself and not in a preview', async () => {
    const { hash } = await keepFile(await logo(), 'logo.png');
    const { ink } = await statistics(hash);
    expect(ink!.bounds).toEqual({ x: 1001 / 3000, y: 503 / 2000, width: 700 / 3000, height: 700 / 2000 });
    const made = await deriveFile({ make: 'trim', hash, part: ink!.bounds });
    expect(made).toMatchObject({ widthPx: 700, heightPx: 700 });
    expect((await sharp(await readOriginal(made.hash)).stats()).isOpaque).toBe(true);
  });

  it('is refused of a vector that is to be trimmed, and of a file that is not kept', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><rect width="9" height="9"/></svg>';
    const { hash } = await keepFile(Buffer.from(svg), 'a.svg');
    const part = { x: 0, y: 0, width: 0.5, height: 0.5 };
    await expect(deriveFile({ make: 'trim', hash, part })).rejects.toMatchObject({ status: 422 });
    await expect(deriveFile({ make: 'trim', hash: 'e'.repeat(64), part })).rejects.toMatchObject({
      status: 404,
    });
    expect(await deriveFile({ make: 'size', hash, widthPx: 80, heightPx: 40 })).toMatchObject({
      type: 'png',
      vector: false,
    });
  });

  it('has see-through room around its drawing, of as many pixels as were asked for, also of a photo', async () => {
    const photo = sharp({ create: { width: 40, height: 20, channels: 3, background: '#08f' } });
    const { hash } = await keepFile(await photo.jpeg().toBuffer(), 'photo.jpg');
    const asked = {
      make: 'room' as const,
      hash,
      widthPx: 80,
      heightPx: 40,
      left: 5,
      right: 0,
      top: 0,
      bottom: 30,
    };
    const made = await deriveFile(asked);
    expect(made).toMatchObject({ type: 'png', widthPx: 85, heightPx: 70, transparent: true });
    const { data, info } = await sharp(await readOriginal(made.hash))
      .raw()
      .toBuffer({ resolveWithObject: true });
    const alpha = (x: number, y: number) => data[(y * info.width + x) * info.channels + info.channels - 1];
    expect([alpha(4, 20), alpha(5, 0), alpha(84, 39), alpha(84, 40)]).toEqual([0, 255, 255, 0]);
    await expect(deriveFile({ ...asked, left: 16384, top: 16384 })).rejects.toMatchObject({ status: 422 });
  });

  it('ends at its last pixel when its master is an opaque drawing, whatever its size', async () => {
    const drawing =
      '<svg xmlns="http://www.w3.org/2000/svg" width="2401" height="1801"><rect width="2401" height="1801" fill="#369"/></svg>';
    const master = await keepFile(Buffer.from(drawing), 'sea.svg');
    expect(master).toMatchObject({ widthPx: 2401, heightPx: 1801, transparent: false });
    for (const [widthPx, heightPx] of [
      [333, 250],
      [3001, 2251],
    ] as const) {
      const { hash } = await deriveFile({ make: 'size', hash: master.hash, widthPx, heightPx });
      const made = sharp(await readOriginal(hash));
      expect(await made.metadata()).toMatchObject({ width: widthPx, height: heightPx });
      expect((await made.stats()).isOpaque).toBe(true);
    }
  });

  it('has few pixels where contrast is told from it', async () => {
    const { hash } = await keepFile(await logo(), 'logo.png');
    const { width, height, data } = await raster(hash);
    expect(width * height).toBeLessThanOrEqual(2 ** 17);
    expect(data.length).toBe(width * height * 4);
  });

  it('has the last pixel when a part begins where the file ends', async () => {
    const { hash } = await keepFile(await logo(), 'logo.png');
    const made = await deriveFile({ make: 'trim', hash, part: { x: 1, y: 1, width: 0.2, height: 0.2 } });
    expect(made).toMatchObject({ widthPx: 1, heightPx: 1 });
  });

  it('is refused with the reason when its format cannot be so large', async () => {
    const webp = await sharp({ create: { width: 400, height: 20, channels: 3, background: '#08f' } })
      .webp()
      .toBuffer();
    const { hash } = await keepFile(webp, 'strip.webp');
    await expect(deriveFile({ make: 'size', hash, widthPx: 16_384, heightPx: 20 })).rejects.toThrow(
      '16384 × 20 px are too many for a WebP',
    );
    expect(await deriveFile({ make: 'size', hash, widthPx: 16_383, heightPx: 20 })).toMatchObject({
      type: 'webp',
    });
  });
});

it('trimmed to its ink, a file has the same room on each side where that is asked for', async () => {
  const { hash } = await keepFile(await logo(), 'logo.png');
  const { ink } = await statistics(hash);
  const { room } = withEvenRoom(ink!.bounds, { widthPx: 3000, heightPx: 2000 }, 0.1);
  expect(room).toBe(70);
  const made = await deriveFile({ make: 'trim', hash, part: ink!.bounds, room });
  expect(made).toMatchObject({ widthPx: 840, heightPx: 840, transparent: true });
  const { bounds } = (await statistics(made.hash)).ink!;
  expect(bounds).toEqual({ x: 70 / 840, y: 70 / 840, width: 700 / 840, height: 700 / 840 });
});
