import sharp from 'sharp';
import type { PictureType } from './sniff';
import { decode } from './decode';

/** Of a photo that is encoded again, so that nobody sees it. */
const QUALITY = 95;

export interface ToSetUpright {
  bytes: Buffer;
  type: PictureType;
}

/**
 * A picture without an EXIF orientation, its pixels turned as that says: what other programs draw of it whether or not they
 * follow EXIF. A file that is not turned comes back as it is.
 * @throws where it cannot be decoded
 */
export async function upright({ bytes, type }: ToSetUpright): Promise<Buffer> {
  const { orientation = 1 } = await sharp(bytes).metadata();
  if (orientation <= 1) return bytes;
  const turned = decode(bytes);
  if (type === 'jpeg') return turned.jpeg({ quality: QUALITY, chromaSubsampling: '4:4:4' }).toBuffer();
  if (type === 'webp') return turned.webp({ quality: QUALITY, alphaQuality: 100 }).toBuffer();
  return turned.png().toBuffer();
}
