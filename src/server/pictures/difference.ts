import sharp from 'sharp';
import type { Rect } from '@/core/geometry/rect';
import type { Raster } from '@/core/pixels/raster';
import { differenceAt } from '@/core/pixels/worst-part';

/** How much differences are magnified. */
const AMPLIFIED = 8;
/** Between the three, px. */
const GAP = 12;

/** The differences of a part as a grey picture, none of them black. */
function differences(one: Raster, two: Raster, { x, y, width, height }: Rect): Raster {
  const data = new Uint8Array(width * height * 4).fill(255);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const from = ((y + row) * one.width + x + column) * 4;
      const value = Math.min(255, Math.round(differenceAt(one, two, from) * AMPLIFIED));
      data.fill(value, (row * width + column) * 4, (row * width + column) * 4 + 3);
    }
  return { width, height, data };
}

const imageOf = ({ width, height, data }: Raster) =>
  sharp(Buffer.from(data), { raw: { width, height, channels: 4 } });

/** Pixels stay squares. */
const magnified = (
  image: ReturnType<typeof imageOf>,
  { width, height }: Rect,
  times: number,
): Promise<Buffer> =>
  image
    .resize(width * times, height * times, { kernel: 'nearest', fit: 'fill' })
    .png()
    .toBuffer();

/**
 * A part of two pictures of one size, and how they differ in it eightfold, beside one another.
 * @param part px of both @param times as large as it is shown @returns a PNG
 */
export async function besideDifference(
  before: Raster,
  after: Raster,
  part: Rect,
  times: number,
): Promise<Buffer> {
  const { x: left, y: top, width, height } = part;
  const cut = (raster: Raster) =>
    magnified(imageOf(raster).extract({ left, top, width, height }), part, times);
  const three = [
    await cut(before),
    await cut(after),
    await magnified(imageOf(differences(before, after, part)), part, times),
  ];
  const step = width * times + GAP;
  const size = { width: step * 3 - GAP, height: height * times };
  return sharp({ create: { ...size, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
    .composite(three.map((input, i) => ({ input, left: i * step, top: 0 })))
    .png()
    .toBuffer();
}

/** As an address that an `img` takes. */
export const pngAddress = (png: Uint8Array): string =>
  `data:image/png;base64,${Buffer.from(png).toString('base64')}`;
