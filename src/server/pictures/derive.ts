import { eq } from 'drizzle-orm';
import type { Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { pxOfPart, type Derivation } from '@/core/pictures/derive';
import { readOriginal } from '../blobs';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { notFound, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { decode, inTurn, keepFile, resampleable } from './import';

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

/** @throws Problem 422 for more px than a picture may have */
function refuseTooMany(asked: Extract<Derivation, { make: 'size' | 'room' }>): void {
  const { left, right, top, bottom } =
    asked.make === 'room' ? asked : { left: 0, right: 0, top: 0, bottom: 0 };
  const [width, height] = [asked.widthPx + left + right, asked.heightPx + top + bottom];
  if (width * height > INPUT_LIMITS.picturePixels)
    throw new Problem(422, `${width} × ${height} px are too many.`);
}

/**
 * Makes a file from one that is kept, and keeps it.
 * @throws Problem 404 when the file is not kept, 422 for a size out of range or a vector that is to be trimmed
 */
export async function deriveFile(asked: Derivation): Promise<KeptFile> {
  const file = getDb().select().from(blobs).where(eq(blobs.hash, asked.hash)).get();
  if (!file) throw notFound('This file');
  if (asked.make === 'trim' && file.vector)
    throw new Problem(422, 'A vector is trimmed in the program that it was drawn in.');
  if (asked.make !== 'trim') refuseTooMany(asked);
  const bytes = await inTurn(async () => {
    const original = await readOriginal(asked.hash);
    if (asked.make !== 'trim') {
      const image = await resampleable(original, file, asked);
      const { widthPx, heightPx } = asked;
      const resized = image.resize(widthPx, heightPx, { fit: 'fill', kernel: 'lanczos3' });
      return asked.make === 'size' ? encoded(resized, file.type) : withRoom(resized, asked, file.type);
    }
    const { x, y, width, height } = pxOfPart(asked.part, file);
    return encoded(decode(original).extract({ left: x, top: y, width, height }), file.type);
  });
  return keepFile(bytes, 'a file made from another');
}
