import type { Rect } from '@/core/geometry/rect';
import type { Raster } from '@/core/pixels/raster';
import { worstPart } from '@/core/pixels/worst-part';
import type { Encoding } from '@/formats/files/encoding';
import { readOriginal } from '../blobs';
import { decode, rawOf } from '../pictures/decode';
import { besideDifference } from '../pictures/difference';
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

/** Px of a side of the part that is shown, and how much it is magnified. */
const SIDE = 96;
const MAGNIFIED = 3;

async function rasterOf(bytes: Buffer): Promise<Raster> {
  const { data, info } = await rawOf(decode(bytes));
  return { width: info.width, height: info.height, data };
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
    picture: await besideDifference(before, after, part, MAGNIFIED),
  };
}

export const compare = (asked: ToCompare): Promise<Compared> => compareFile(asked, readOriginal);
