import sharp, { type Metadata, type Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { isTooNarrow, previewWidths } from '@/core/pictures/previews';
import { packPixels } from '../pictures/kept-pixels';
import { profileOf } from '../pictures/profile';
import type { PictureType } from '../pictures/sniff';
import { svgProblem } from '../pictures/svg';
import { Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { resampleable } from '../pictures/decode';
import { read } from './read';

const millions = (n: number) => Math.round(n / 1e5) / 10;

export interface Preview {
  widthPx: number;
  bytes: Buffer;
}

/** What is found out about a picture file when it is taken in. */
export interface Examined extends Pick<
  KeptFile,
  'widthPx' | 'heightPx' | 'profile' | 'transparent' | 'turned' | 'pictures'
> {
  previews: Preview[];
  /** the pixels that contrast is told from, packed */
  pixels: Buffer;
}

export interface ToExamine {
  bytes: Buffer;
  type: PictureType;
  /** the name it came with, for messages */
  name: string;
}

const broken = (name: string) =>
  new Problem(422, `“${name}” is damaged or cut short and cannot be decoded. Export or download it again.`);

/** A PNG that moves says in a chunk before its pixels how many pictures it has. Source: W3C PNG 3, §11.3.6.1 `acTL`. */
function picturesOfPng(bytes: Buffer): number {
  const at = bytes.indexOf('acTL', 8, 'latin1');
  const pixels = bytes.indexOf('IDAT', 8, 'latin1');
  return at > 0 && at < pixels ? Math.max(1, bytes.readUInt32BE(at + 4)) : 1;
}

/** Of so many pictures the first is taken; for a file that does not move, one. */
const picturesOf = (bytes: Buffer, type: PictureType, { pages = 1 }: Metadata) =>
  type === 'png' ? picturesOfPng(bytes) : pages;

/** Size, profile, orientation and count of pictures, as the header says. */
async function headerOf({ bytes, type, name }: ToExamine) {
  // The pixel limit is checked here, on what the header says, before anything is decoded.
  const meta = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (!meta) throw broken(name);
  const { width, height } = meta.autoOrient;
  const size = { widthPx: width, heightPx: height };
  if (width * height > INPUT_LIMITS.picturePixels) {
    const most = millions(INPUT_LIMITS.picturePixels);
    throw new Problem(
      422,
      `“${name}” has ${width} × ${height} px, ${millions(width * height)} megapixels; the limit is ${most}.`,
    );
  }
  if (isTooNarrow(size))
    throw new Problem(422, `“${name}” has ${width} × ${height} px, which is too narrow to be shown.`);
  const turned = (meta.orientation ?? 1) > 1;
  return { ...size, profile: profileOf(meta), turned, pictures: picturesOf(bytes, type, meta) };
}

/**
 * The pyramid from which browsers draw, each level made from the one above it. Decodes every pixel of the file.
 * @param wanted whether a level is kept; all are made either way, as each comes from the one before
 */
export async function pyramid(
  bytes: Buffer,
  file: Pick<KeptFile, 'vector' | 'widthPx' | 'heightPx'>,
  wanted: (widthPx: number) => boolean = () => true,
) {
  // A level is encoded while the next one is made.
  const previews: Promise<Preview>[] = [];
  let source: Sharp = await resampleable(bytes, file, file);
  for (const width of previewWidths(file).reverse()) {
    const { data, info } = await source
      .resize(width, undefined, { kernel: 'lanczos3' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    source = sharp(data, { raw: info });
    if (!wanted(width)) continue;
    const encoded = source.clone().webp({ quality: 92, alphaQuality: 100, effort: 2 }).toBuffer();
    // Whoever waits for all of them hears of it; where another level fails first, nobody does.
    encoded.catch(() => {});
    previews.push(encoded.then((made) => ({ widthPx: width, bytes: made })));
  }
  // What is left after the loop is the smallest level, which is enough to see whether anything shows through.
  return { previews: await Promise.all(previews), transparent: !(await source.stats()).isOpaque };
}

/**
 * Looks at a picture file: checked, decoded, its previews made.
 * @throws Problem 422 damaged, too many pixels, too narrow, or an SVG that does things
 */
export async function examine(asked: ToExamine): Promise<Examined> {
  const { bytes, type, name } = asked;
  const problem = type === 'svg' ? svgProblem(bytes.toString('utf8')) : null;
  if (problem)
    throw new Problem(422, `“${name}” is not taken: it holds ${problem}. Export it as a plain drawing.`);
  const header = await headerOf(asked);
  const decoded = await pyramid(bytes, { ...header, vector: type === 'svg' }).catch(() => {
    throw broken(name);
  });
  // As they are read of a file that is kept, which this one is not yet.
  const made = {
    original: () => Promise.resolve(bytes),
    preview: (_: string, width: number) =>
      Promise.resolve(decoded.previews.find((p) => p.widthPx === width)!.bytes),
  };
  const pixels = await packPixels(await read({ ...header, hash: name, vector: type === 'svg' }, made));
  return { ...header, ...decoded, pixels };
}
