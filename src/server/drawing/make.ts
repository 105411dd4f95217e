import type { Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { pxOfPart, type Derivation } from '@/core/pictures/derive';
import { readOriginal } from '../blobs';
import { decode, resampleable } from './decode';

/** In the format of the file it is made from, in sRGB; a vector becomes a PNG. */
const encoded = (image: Sharp, type: string): Promise<Buffer> => {
  switch (type) {
    case 'jpeg':
      return image.jpeg({ quality: 90 }).toBuffer();
    case 'webp':
      return image.webp({ quality: 92, alphaQuality: 100 }).toBuffer();
    case 'avif':
      return image.avif({ quality: 70 }).toBuffer();
    default:
      return image.png().toBuffer();
  }
};

/** See-through room around a drawing; a JPEG has none, and becomes a PNG. */
const withRoom = (image: Sharp, { left, right, top, bottom }: Roomy, type: string): Promise<Buffer> =>
  encoded(
    image.ensureAlpha().extend({ left, right, top, bottom, background: { r: 0, g: 0, b: 0, alpha: 0 } }),
    type === 'jpeg' ? 'png' : type,
  );
type Roomy = Extract<Derivation, { make: 'room' }>;

export interface ToMake {
  asked: Derivation;
  /** that it is made from */
  file: Pick<KeptFile, 'type' | 'vector' | 'widthPx' | 'heightPx'>;
}

/** The bytes of a file that is made from one that is kept. */
export async function make({ asked, file }: ToMake): Promise<Buffer> {
  const original = await readOriginal(asked.hash);
  if (asked.make === 'trim') {
    const { x, y, width, height } = pxOfPart(asked.part, file);
    return encoded(decode(original).extract({ left: x, top: y, width, height }), file.type);
  }
  const image = await resampleable(original, file, asked);
  const resized = image.resize(asked.widthPx, asked.heightPx, { fit: 'fill', kernel: 'lanczos3' });
  return asked.make === 'size' ? encoded(resized, file.type) : withRoom(resized, asked, file.type);
}
