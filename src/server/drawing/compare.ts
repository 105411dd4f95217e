import sharp from 'sharp';
import type { Rect } from '@/core/geometry/rect';
import type { Raster } from '@/core/pixels/raster';
import { differenceAt, worstPart } from '@/core/pixels/worst-part';
import type { Encoding } from '@/formats/files/encoding';
import { readOriginal } from '../blobs';
import { decode, rawOf } from './decode';
import { encodeFiles } from './encode';

export interface ToCompare {
  hash: string;
  /** what it is, for messages */
  about: string;
  encoding: Encoding;
}

/** What became of one file that was encoded anew. */
export interface Compared {
  /** before and after */
  was: number;
  bytes: number;
  quality: number;
  /** as `core/pixels/ssim` says */
  alike: number;
  /** where it differs most, px of the file */
  part: Rect;
  /** that part before, after, and how they differ, beside one another: a PNG */
  picture: Buffer;
}

/** Px of a side of the part that is shown, how much it is magnified, and how much differences are. */
const SIDE = 96;
const MAGNIFIED = 3;
const AMPLIFIED = 8;
/** Between the three, px. */
const GAP = 12;

async function rasterOf(bytes: Buffer): Promise<Raster> {
  const { data, info } = await rawOf(decode(bytes));
  return { width: info.width, height: info.height, data };
}

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
const magnified = (image: ReturnType<typeof imageOf>, { width, height }: Rect): Promise<Buffer> =>
  image
    .resize(width * MAGNIFIED, height * MAGNIFIED, { kernel: 'nearest', fit: 'fill' })
    .png()
    .toBuffer();

async function beside(before: Raster, after: Raster, part: Rect): Promise<Buffer> {
  const { x: left, y: top, width, height } = part;
  const cut = (raster: Raster) => magnified(imageOf(raster).extract({ left, top, width, height }), part);
  const three = [
    await cut(before),
    await cut(after),
    await magnified(imageOf(differences(before, after, part)), part),
  ];
  const step = width * MAGNIFIED + GAP;
  const size = { width: step * 3 - GAP, height: height * MAGNIFIED };
  return sharp({ create: { ...size, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
    .composite(three.map((input, i) => ({ input, left: i * step, top: 0 })))
    .png()
    .toBuffer();
}

/** Encodes one file anew and says what became of it. @throws Problem as `encodeFiles` does */
export async function compareFile(
  { hash, about, encoding }: ToCompare,
  read: (hash: string) => Promise<Buffer>,
): Promise<Compared> {
  const files = [{ hash, about, group: '' }];
  const [made] = await encodeFiles({ files, ...encoding }, read, () => {});
  const original = await read(hash);
  const before = await rasterOf(original);
  const after = await rasterOf(made!.bytes);
  const part = worstPart(before, after, SIDE);
  return {
    was: original.length,
    bytes: made!.bytes.length,
    quality: made!.quality,
    alike: made!.alike,
    part,
    picture: await beside(before, after, part),
  };
}

export const compare = (asked: ToCompare): Promise<Compared> => compareFile(asked, readOriginal);
