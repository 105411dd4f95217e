import { eq } from 'drizzle-orm';
import sharp, { type Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { previewWidths } from '@/core/pictures/previews';
import { hashOf, storeOriginal, storePreview } from '../blobs';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { profileOf } from './profile';
import { sniff, type PictureType } from './sniff';
import { svgProblem } from './svg';

const accepted = 'PNG, JPEG, WebP, AVIF or SVG';
const millions = (n: number) => Math.round(n / 1e5) / 10;

/** At which a drawing has its own size, dots per inch. */
const OWN_DENSITY = 72;

/** A decoder that turns a photo the way its EXIF orientation says and gives sRGB. @param density of a drawing */
export const decode = (bytes: Buffer, density = OWN_DENSITY) =>
  sharp(bytes, { limitInputPixels: INPUT_LIMITS.picturePixels, failOn: 'error', density })
    .autoOrient()
    .toColourspace('srgb');

/**
 * The pixels from which a file is resampled. A drawing is rendered whole first, at a multiple of its own size: rendered
 * straight to another size it would end between two pixels, and show what is behind it along its sides.
 * @param file its own size @param asked to which it is resampled, px
 */
export async function resampleable(
  bytes: Buffer,
  { vector, widthPx, heightPx }: Pick<KeptFile, 'vector' | 'widthPx' | 'heightPx'>,
  asked: { widthPx: number; heightPx: number },
): Promise<Sharp> {
  if (!vector) return decode(bytes);
  const wanted = Math.ceil(Math.max(asked.widthPx / widthPx, asked.heightPx / heightPx));
  const most = Math.floor(Math.sqrt(INPUT_LIMITS.picturePixels / (widthPx * heightPx)));
  const times = Math.max(1, Math.min(wanted, most));
  const { data, info } = await decode(bytes, OWN_DENSITY * times)
    .raw()
    .toBuffer({ resolveWithObject: true });
  return sharp(data, { raw: info });
}

function typeOf(bytes: Buffer, name: string): PictureType {
  if (bytes.length === 0) throw new Problem(422, `“${name}” is empty: it has 0 bytes.`);
  if (bytes.length > INPUT_LIMITS.pictureBytes) throw tooLarge(name);
  const type = sniff(bytes);
  if (!type) throw new Problem(415, `“${name}” is not a picture that can be read. Use ${accepted}.`);
  if (type === 'svg') {
    const problem = svgProblem(bytes.toString('utf8'));
    if (problem)
      throw new Problem(422, `“${name}” is not taken: it holds ${problem}. Export it as a plain drawing.`);
  }
  return type;
}

export const tooLarge = (name: string) =>
  new Problem(
    413,
    `“${name}” is larger than ${INPUT_LIMITS.pictureBytes / 1024 / 1024} MB, which is the limit.`,
  );

/** Size and profile, as the header says. */
async function headerOf(
  bytes: Buffer,
  name: string,
): Promise<Pick<KeptFile, 'widthPx' | 'heightPx' | 'profile'>> {
  // The pixel limit is checked here, on what the header says, before anything is decoded.
  const meta = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (!meta) throw broken(name);
  const { width, height } = meta.autoOrient;
  if (width * height > INPUT_LIMITS.picturePixels) {
    const most = millions(INPUT_LIMITS.picturePixels);
    throw new Problem(
      422,
      `“${name}” has ${width} × ${height} px, ${millions(width * height)} megapixels; the limit is ${most}.`,
    );
  }
  return { widthPx: width, heightPx: height, profile: profileOf(meta) };
}

const broken = (name: string) =>
  new Problem(422, `“${name}” is damaged or cut short and cannot be decoded. Export or download it again.`);

interface Preview {
  widthPx: number;
  bytes: Buffer;
}

/** The pyramid from which browsers draw, each level made from the one above it. Decodes every pixel of the file. */
async function pyramid(
  bytes: Buffer,
  file: Pick<KeptFile, 'vector' | 'widthPx' | 'heightPx'>,
): Promise<{ previews: Preview[]; transparent: boolean }> {
  const previews: Preview[] = [];
  let source = await resampleable(bytes, file, file);
  for (const width of previewWidths(file.widthPx).reverse()) {
    const { data, info } = await source
      .resize(width, undefined, { kernel: 'lanczos3' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    source = sharp(data, { raw: info });
    const encoded = await source.clone().webp({ quality: 92, alphaQuality: 100, effort: 2 }).toBuffer();
    previews.push({ widthPx: width, bytes: encoded });
  }
  // What is left after the loop is the smallest level, which is enough to see whether anything shows through.
  return { previews, transparent: !(await source.stats()).isOpaque };
}

/** At most two files are decoded at a time: a large one takes a few hundred MB. */
const MOST_AT_ONCE = 2;
let running = 0;
const waiting: (() => void)[] = [];

export async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (running >= MOST_AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  running++;
  try {
    return await work();
  } finally {
    running--;
    waiting.shift()?.();
  }
}

function known(hash: string): KeptFile | null {
  return getDb().select().from(blobs).where(eq(blobs.hash, hash)).get() ?? null;
}

/**
 * Takes a picture file in: checked, decoded, its previews made; then its bytes are stored, and last the row that
 * says that they are there. The same bytes are stored once. A file that is refused leaves nothing behind.
 *
 * @param name the name it came with, for messages
 * @throws Problem 413 too large, 415 not a picture, 422 empty, damaged, too many pixels, or an SVG that does things
 */
export async function keepFile(bytes: Buffer, name: string): Promise<KeptFile> {
  const type = typeOf(bytes, name);
  const hash = hashOf(bytes);
  const already = known(hash);
  if (already) return already;
  return inTurn(async () => {
    const header = await headerOf(bytes, name);
    const vector = type === 'svg';
    const { previews, transparent } = await pyramid(bytes, { ...header, vector }).catch(() => {
      throw broken(name);
    });
    for (const p of previews) await storePreview(hash, p.widthPx, p.bytes);
    await storeOriginal(hash, bytes);
    const file = { hash, type, bytes: bytes.length, ...header, vector, transparent };
    const createdAt = new Date().toISOString();
    getDb()
      .insert(blobs)
      .values({ ...file, createdAt })
      .onConflictDoNothing()
      .run();
    return file;
  });
}
