import sharp, { type Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { mostTimes } from '@/core/pictures/previews';
import { INPUT_LIMITS } from '../settings';

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
  const most = Math.floor(mostTimes({ widthPx, heightPx }, INPUT_LIMITS.picturePixels));
  const times = Math.max(1, Math.min(wanted, most));
  const { data, info } = await decode(bytes, OWN_DENSITY * times)
    .raw()
    .toBuffer({ resolveWithObject: true });
  return sharp(data, { raw: info });
}

/** As raw pixels with alpha, row after row. */
export const rawOf = (image: Sharp) => image.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
