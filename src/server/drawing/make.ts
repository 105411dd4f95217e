import type { Sharp } from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { pxOfPart, type Derivation } from '@/core/pictures/derive';
import { readOriginal } from '../blobs';
import { decode, resampleable } from '../pictures/decode';

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
type Roomy = Pick<Extract<Derivation, { make: 'room' }>, 'left' | 'right' | 'top' | 'bottom'>;

const resizedTo = (image: Sharp, { widthPx, heightPx }: { widthPx: number; heightPx: number }): Sharp =>
  // Decoders that shrink while they read do it in another way.
  image.resize(widthPx, heightPx, { fit: 'fill', kernel: 'lanczos3', fastShrinkOnLoad: false });

/** With what of its master a file keeps; sRGB and nothing else unless it is asked for. */
const keeping = (image: Sharp, keep: Sized['keep']): Sharp => {
  if (keep === 'nothing') return image;
  return keep === 'profile' ? image.keepIccProfile() : image.keepMetadata();
};
type Sized = Extract<Derivation, { make: 'size' }>;

/** A part of a file, or all of it, in another size. */
async function sized(original: Buffer, asked: Sized, file: ToMake['file']): Promise<Sharp> {
  const { part = WHOLE, ground, keep, linear } = asked;
  const whole = { widthPx: asked.widthPx / part.width, heightPx: asked.heightPx / part.height };
  let image = await resampleable(original, file, whole);
  if (asked.part) {
    // A drawing is rendered at a multiple of its own size.
    const { width, height } = file.vector
      ? await image.metadata()
      : { width: file.widthPx, height: file.heightPx };
    const px = pxOfPart(part, { widthPx: width, heightPx: height });
    image = image.extract({ left: px.x, top: px.y, width: px.width, height: px.height });
  }
  if (linear) image = image.pipelineColourspace('scrgb');
  const resized = resizedTo(image, asked);
  return keeping(ground === undefined ? resized : resized.flatten({ background: ground }), keep);
}
const WHOLE = { x: 0, y: 0, width: 1, height: 1 };

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
    const ink = decode(original).extract({ left: x, top: y, width, height });
    const { room } = asked;
    return room > 0
      ? withRoom(ink, { left: room, right: room, top: room, bottom: room }, file.type)
      : encoded(ink, file.type);
  }
  if (asked.make === 'size') return encoded(await sized(original, asked, file), file.type);
  const image = await resampleable(original, file, asked);
  return withRoom(resizedTo(image, asked), asked, file.type);
}
