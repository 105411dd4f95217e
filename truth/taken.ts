import sharp, { type OverlayOptions, type Sharp } from 'sharp';
import type { Size } from '../src/core/geometry/rect';
import type { Raster } from '../src/core/pixels/raster';
import type { Random } from './random';

/** What is done to a layer in a random screenshot. */
const KINDS = [
  'as it is',
  'moved',
  'scaled',
  'recoloured',
  'left out',
  'covered',
  'behind',
  'other app',
] as const;
export type Kind = (typeof KINDS)[number];

/** What is opaque everywhere has nothing to trim, whatever its colours. */
const TO_WHAT_IS_DRAWN = { threshold: 1, background: { r: 0, g: 0, b: 0, alpha: 0 } };

export interface Edit {
  kind: Kind;
  by: { x: number; y: number };
  scale: number;
}

export function editOf(random: Random): Edit {
  const kind = random.pick(KINDS);
  const by =
    kind === 'moved' || (kind !== 'as it is' && kind !== 'behind' && random.chance(0.3))
      ? { x: random.whole(-14, 14), y: random.whole(-14, 14) }
      : { x: 0, y: 0 };
  return { kind, by, scale: kind === 'scaled' ? random.pick([0.5, 0.6, 0.75, 0.85, 1.25, 1.5]) : 1 };
}

/** A layer by itself, as it is seen in the screenshot, and the middle about which it is scaled. */
async function layerOf(drawn: Buffer, { kind, by, scale }: Edit, random: Random) {
  const { width = 0, height = 0 } = await sharp(drawn).metadata();
  const box = await sharp(drawn).trim(TO_WHAT_IS_DRAWN).toBuffer({ resolveWithObject: true });
  const [left, top] = [-(box.info.trimOffsetLeft ?? 0), -(box.info.trimOffsetTop ?? 0)];
  const size = {
    width: Math.max(1, Math.round(box.info.width * scale)),
    height: Math.max(1, Math.round(box.info.height * scale)),
  };
  let part = sharp(box.data).ensureAlpha().resize(size.width, size.height, { fit: 'fill' });
  if (kind === 'recoloured') {
    const flat = { r: random.whole(0, 255), g: random.whole(0, 255), b: random.whole(0, 255) };
    part = sharp({ create: { ...size, channels: 4, background: { ...flat, alpha: 1 } } }).composite([
      { input: await part.png().toBuffer(), blend: 'dest-in' },
    ]);
  }
  const at = {
    x: Math.round(left + (box.info.width - size.width) / 2 + by.x),
    y: Math.round(top + (box.info.height - size.height) / 2 + by.y),
  };
  const roomy = sharp({
    create: { width: width * 3, height: height * 3, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  });
  const placed = await roomy
    .composite([{ input: await part.png().toBuffer(), left: at.x + width, top: at.y + height }])
    .png()
    .toBuffer();
  const layer = await sharp(placed).extract({ left: width, top: height, width, height }).png().toBuffer();
  // Where it really lies and how large it really is, whole px being all that can be put together.
  const middle = { x: left + box.info.width / 2, y: top + box.info.height / 2 };
  const lies = { x: at.x + size.width / 2 - middle.x, y: at.y + size.height / 2 - middle.y };
  return { layer, middle, by: lies };
}

async function otherApp(width: number, height: number, random: Random): Promise<Buffer> {
  const rects = Array.from({ length: random.whole(2, 12) }, () => {
    const [w, h] = [random.whole(20, width), random.whole(10, Math.floor(height / 3))];
    return `<rect x="${random.whole(0, width)}" y="${random.whole(0, height)}" width="${w}" height="${h}" rx="8" fill="${random.colour()}"/>`;
  });
  const ground = random.chance(0.5) ? '#ffffff' : random.colour();
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="${ground}"/>${rects.join('')}</svg>`;
  return sharp(Buffer.from(svg)).png().toBuffer();
}

export const rasterOf = async (
  image: Sharp,
  width: number,
  height: number,
  isOpaque = true,
): Promise<Raster> => {
  const { data, info } = await (isOpaque ? image.flatten({ background: '#fff' }) : image)
    .resize(width, height, { fit: 'fill' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
};

/** Something that lies over a part of a layer. */
async function coverOf(layer: Buffer, { width, height }: Size, random: Random): Promise<OverlayOptions> {
  const { info } = await sharp(layer).trim(TO_WHAT_IS_DRAWN).toBuffer({ resolveWithObject: true });
  const size = {
    width: Math.min(width, Math.max(1, Math.round(info.width * (0.2 + random.next() * 0.6)))),
    height: Math.min(height, info.height),
  };
  return {
    input: { create: { ...size, channels: 4, background: random.colour() } },
    left: Math.max(0, Math.min(width - size.width, -(info.trimOffsetLeft ?? 0))),
    top: Math.max(0, Math.min(height - size.height, -(info.trimOffsetTop ?? 0))),
  };
}

export const onPaper = ({ width, height }: Size, layers: OverlayOptions[]): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 4, background: '#ffffff' } })
    .composite(layers)
    .png()
    .toBuffer();

/** The screenshot, and the same without the layer. */
export async function taken(parts: Buffer[], edit: Edit, size: Size, random: Random) {
  const [below, alone, above] = parts as [Buffer, Buffer, Buffer];
  if (edit.kind === 'other app') {
    const other = await otherApp(size.width, size.height, random);
    return { made: other, bare: other, middle: { x: 0, y: 0 }, by: edit.by };
  }
  const { layer, middle, by } = await layerOf(alone, edit, random);
  const cover = edit.kind === 'covered' ? [await coverOf(layer, size, random)] : [];
  const stack = (own: OverlayOptions[]): OverlayOptions[] =>
    edit.kind === 'behind'
      ? [...own, { input: below }, { input: above }]
      : [{ input: below }, ...own, { input: above }, ...cover];
  const bare = await onPaper(size, stack([]));
  const made = edit.kind === 'left out' ? bare : await onPaper(size, stack([{ input: layer }]));
  return { made, bare, middle, by };
}
