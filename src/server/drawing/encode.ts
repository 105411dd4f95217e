import sharp, { type Sharp } from 'sharp';
import { bestQuality, mostAlike } from '@/core/files/budget';
import { ssim } from '@/core/pixels/ssim';
import { grouped } from '@/core/solve/alike';
import type { Raster } from '@/core/pixels/raster';
import { ENCODED_WORDS, type EncodedAs, type Encoding } from '@/formats/files/encoding';
import { sayFileSize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { readOriginal } from '../blobs';
import { Problem } from '../problem';
import { decode, rawOf } from '../pictures/decode';
import type { TaskProgress } from '../progress';

/** A file that is to be encoded. */
export interface SourceFile {
  hash: string;
  /** files of one group share one quality, and one budget */
  group: string;
  /** what it is, for messages */
  about: string;
}

export interface ToEncode {
  files: SourceFile[];
  as: EncodedAs;
  keep: Encoding['keep'];
}

export interface EncodedFile {
  hash: string;
  quality: number;
  bytes: Buffer;
  /** how like its source it is, as `core/pixels/ssim` says */
  alike: number;
}

/** Of AVIF: a search encodes each file up to a dozen times, and more effort takes 14 times as long for 6 % fewer bytes. */
const AVIF_EFFORT = 2;

const ENCODERS: Record<EncodedAs, (image: Sharp, quality: number) => Sharp> = {
  webp: (image, quality) => image.webp({ quality, alphaQuality: 100 }),
  avif: (image, quality) => image.avif({ quality, effort: AVIF_EFFORT }),
  jpeg: (image, quality) => image.jpeg({ quality, mozjpeg: true }),
  png: (image, quality) => image.png({ palette: true, quality }),
};

type Read = (hash: string) => Promise<Buffer>;
type Say = (progress: TaskProgress) => void;

/** Px of decoded files that are held at once; others are decoded each time. */
const HELD_PX = 40_000_000;

/** @throws Problem 422 for a file of which something is see-through */
async function refuseSeeThrough(image: Sharp, about: string): Promise<void> {
  if ((await image.stats()).isOpaque) return;
  throw new Problem(
    422,
    `${about} is see-through in parts, which a JPEG cannot be. Choose WebP, AVIF or PNG.`,
  );
}

/** Files as they are encoded at a quality; each is decoded once where there is room. */
function encoder(as: EncodedAs, read: Read) {
  const held = new Map<string, Sharp>();
  let room = HELD_PX;
  const source = async (hash: string): Promise<Sharp> => {
    const known = held.get(hash);
    if (known) return known.clone();
    const { data, info } = await decode(await read(hash))
      .raw()
      .toBuffer({ resolveWithObject: true });
    const image = sharp(data, { raw: info });
    room -= info.width * info.height;
    if (room > 0) held.set(hash, image);
    return image.clone();
  };
  return {
    source,
    encode: async (hash: string, quality: number) => ENCODERS[as](await source(hash), quality).toBuffer(),
  };
}

/** Sides of the middle that is looked at, px: what is encoded badly is so all over. */
const LOOKED_AT = 1000;

async function middleOf(image: Sharp): Promise<Raster> {
  const { data, info } = await rawOf(image);
  const [width, height] = [Math.min(LOOKED_AT, info.width), Math.min(LOOKED_AT, info.height)];
  const left = Math.floor((info.width - width) / 2);
  const top = Math.floor((info.height - height) / 2);
  const cut = await sharp(data, { raw: info }).extract({ left, top, width, height }).raw().toBuffer();
  return { width, height, data: cut };
}

/** Up to so many px every quality is tried: it takes seconds there, and one step more does not always show more. */
const ALL_TRIED_PX = 40_000;

/** What files of one group come to at a quality, and how like they are to what they were. */
interface Tried {
  weigh: (quality: number) => Promise<number>;
  alike: (quality: number) => Promise<number>;
  /** of all of them together */
  px: () => Promise<number>;
}

/** @throws Problem 422 where not even the least quality fits */
async function qualityOf(
  count: number,
  { as, keep }: Pick<ToEncode, 'as' | 'keep'>,
  { weigh, alike, px }: Tried,
): Promise<number> {
  if (keep.by === 'quality') return keep.quality;
  const { bytes } = keep;
  const found = await ((await px()) <= ALL_TRIED_PX
    ? mostAlike(weigh, alike, bytes)
    : bestQuality(weigh, bytes));
  if ('quality' in found) return found.quality;
  const { least } = found;
  throw new Problem(
    422,
    `${countOf(count, 'file')} as ${ENCODED_WORDS[as]}: ${sayFileSize(least.bytes)} even at quality ${least.quality}, and ${sayFileSize(bytes)} are allowed. Allow more, or make them smaller.`,
  );
}

/** The files of one group at the quality that it is to have. @param say hears which quality is tried */
async function encodeGroup(
  group: readonly SourceFile[],
  asked: Pick<ToEncode, 'as' | 'keep'>,
  read: Read,
  say: (quality: number) => void,
): Promise<EncodedFile[]> {
  const { source, encode } = encoder(asked.as, read);
  // What was weighed last is looked at next.
  let last = { quality: 0, made: new Map<string, Buffer>() };
  const one = async (hash: string, quality: number): Promise<Buffer> => {
    if (last.quality !== quality) last = { quality, made: new Map() };
    const known = last.made.get(hash);
    if (known) return known;
    say(quality);
    const bytes = await encode(hash, quality);
    last.made.set(hash, bytes);
    return bytes;
  };
  const alikeOf = async (hash: string, bytes: Buffer) =>
    ssim(await middleOf(await source(hash)), await middleOf(decode(bytes)));
  // As many at once as the encoders have threads.
  const sum = async (of: (hash: string) => Promise<number>) =>
    (await Promise.all(group.map(({ hash }) => of(hash)))).reduce((total, n) => total + n, 0);
  if (asked.as === 'jpeg')
    for (const { hash, about } of group) await refuseSeeThrough(await source(hash), about);
  const quality = await qualityOf(group.length, asked, {
    weigh: (q) => sum(async (hash) => (await one(hash, q)).length),
    alike: async (q) => (await sum(async (hash) => alikeOf(hash, await one(hash, q)))) / group.length,
    px: () =>
      sum(async (hash) => {
        const { width, height } = await decode(await read(hash)).metadata();
        return width * height;
      }),
  });
  const encoded: EncodedFile[] = [];
  for (const { hash } of group) {
    const bytes = await one(hash, quality);
    encoded.push({ hash, quality, bytes, alike: await alikeOf(hash, bytes) });
  }
  return encoded;
}

/**
 * Encodes files anew, each group at the quality that is asked for, or at the best that keeps within its budget.
 * @param read the bytes of a file by its hash @throws Problem 422 where a budget cannot be met, or a file cannot be a JPEG
 */
export async function encodeFiles(
  { files, ...asked }: ToEncode,
  read: Read,
  onStep: Say,
): Promise<EncodedFile[]> {
  const encoded: EncodedFile[] = [];
  for (const group of grouped(files, (f) => f.group).values()) {
    const say = (quality: number) =>
      onStep({ done: encoded.length, of: files.length, doing: `encoding, quality ${quality}` });
    encoded.push(...(await encodeGroup(group, asked, read, say)));
  }
  return encoded;
}

export const encode = (asked: ToEncode, onStep: Say): Promise<EncodedFile[]> =>
  encodeFiles(asked, readOriginal, onStep);
