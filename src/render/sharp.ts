import { LRUCache } from 'lru-cache';
import sharp, { type OutputInfo, type OverlayOptions, type Sharp } from 'sharp';
import type { Rect, Size } from '@/core/geometry/rect';
import { mostTimes } from '@/core/pictures/previews';
import type { Command, Drawing, Fill, Glass, Group, Image, FillInk, Letters, Pattern } from './drawing';

/** The bytes of a file, as something sharp can decode. */
export type Bytes = (hash: string) => Promise<Buffer>;

/** Pixels of a file in one size. */
type Resampled = { data: Buffer; info: OutputInfo };

const MOST_KEPT_BYTES = 48 * 1024 * 1024;
const LARGEST_KEPT_PX = 3_000_000;
/** What is drawn again and again, while something else of its scene changes, is decoded and resampled once. */
const kept = new LRUCache<string, Resampled>({
  maxSize: MOST_KEPT_BYTES,
  sizeCalculation: ({ data }) => data.length,
});

const TRANSPARENT = { r: 0, g: 0, b: 0, alpha: 0 };

const SVG_DPI = 72;
/** Px of a vector that is rendered before it is resampled. */
const MOST_RENDERED = 100_000_000;

/**
 * A file resampled to an exact size; both extents are given, so nothing is fitted here. A photo is turned as its
 * EXIF orientation says; a vector is rasterised at the size it is drawn at.
 */
async function resampled(bytes: Buffer, to: Size): Promise<Sharp> {
  const { autoOrient: size, format } = await sharp(bytes).metadata();
  const grows = to.width > size.width || to.height > size.height;
  const wanted = Math.max(1, to.width / size.width, to.height / size.height);
  const own = { widthPx: size.width, heightPx: size.height };
  const factor = Math.min(wanted, mostTimes(own, MOST_RENDERED));
  const options = { limitInputPixels: false, ...(format === 'svg' ? { density: SVG_DPI * factor } : {}) };
  return sharp(bytes, options)
    .autoOrient()
    .toColourspace('srgb')
    .ensureAlpha()
    .resize(to.width, to.height, { fit: 'fill', kernel: grows ? 'mitchell' : 'lanczos3' });
}

const svg = (size: Size, body: string) =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}">${body}</svg>`,
  );

/** @param attributes of the shape, such as its `fill` */
const svgRect = ({ x, y, width, height }: Rect, radius: number, attributes: string) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${radius}" ${attributes}/>`;

/** Takes away from an overlay, whose corner is at `at`, what lies outside a rounded box, and thins it to its opacity. */
async function masked(
  overlay: Buffer,
  at: Rect,
  { rounding, opacity }: Pick<Image, 'rounding' | 'opacity'>,
): Promise<Buffer> {
  if (!rounding && opacity === 1) return overlay;
  const { rect, radius } = rounding ?? { rect: at, radius: 0 };
  const inside = { ...rect, x: rect.x - at.x, y: rect.y - at.y };
  const mask = svg(at, svgRect(inside, radius, `fill="#fff" opacity="${opacity}"`));
  return sharp(overlay)
    .composite([{ input: mask, blend: 'dest-in' }])
    .png({ compressionLevel: 0 })
    .toBuffer();
}

const lossless = (image: Sharp) => image.png({ compressionLevel: 0 }).toBuffer();
const overlay = (input: Buffer, at: Rect): OverlayOptions => ({ input, left: at.x, top: at.y });

/** In one colour, with the alpha that it has. */
async function tinted(image: Sharp, tint: string | null): Promise<Sharp> {
  if (!tint) return image;
  const { data, info } = await image.raw().toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  const fill = svg(info, svgRect({ x: 0, y: 0, width, height }, 0, `fill="${tint}"`));
  const alpha = sharp(data, { raw: { width, height, channels: 4 } }).png({ compressionLevel: 0 });
  return sharp(fill)
    .ensureAlpha()
    .composite([{ input: await alpha.toBuffer(), blend: 'dest-in' }])
    .png({ compressionLevel: 0 });
}

/** A file in a size that it is drawn in; kept where it is not very large. */
async function sized(hash: string, bytes: Bytes, to: Size): Promise<Sharp> {
  if (to.width * to.height > LARGEST_KEPT_PX) return resampled(await bytes(hash), to);
  const key = `${hash} ${to.width} ${to.height}`;
  const found = kept.get(key);
  const made =
    found ?? (await (await resampled(await bytes(hash), to)).raw().toBuffer({ resolveWithObject: true }));
  kept.set(key, made);
  return sharp(made.data, { raw: made.info });
}

async function image(command: Image, bytes: Bytes): Promise<OverlayOptions> {
  const { dest, clip, hash } = command;
  const part = (await sized(hash, bytes, dest)).extract({
    left: clip.x - dest.x,
    top: clip.y - dest.y,
    width: clip.width,
    height: clip.height,
  });
  const coloured = await tinted(part, command.tint);
  return overlay(await masked(await lossless(coloured), clip, command), clip);
}

async function pattern(command: Pattern, bytes: Bytes): Promise<OverlayOptions> {
  const { tile, cell, pitch, origin, clip } = command;
  const swatch = await lossless(
    sharp(await lossless(await tinted(await sized(command.hash, bytes, tile), command.tint))).extend({
      right: cell.width - tile.width,
      bottom: cell.height - tile.height,
      background: TRANSPARENT,
    }),
  );
  // Whole cells from the first that reaches into the clip on, then scaled to the exact pitch as one picture.
  const along = (start: number, from: number, length: number, step: number, unit: number) => {
    const first = Math.floor((start - from) / step);
    const count = Math.ceil((start + length - from) / step) - first;
    const offset = Math.round(start - (from + first * step));
    return {
      count,
      total: Math.max(offset + length, Math.round(count * step)),
      offset,
      extra: (count - 1) * unit,
    };
  };
  const x = along(clip.x, origin.x, clip.width, pitch.x, cell.width);
  const y = along(clip.y, origin.y, clip.height, pitch.y, cell.height);
  const grid = await lossless(
    sharp(swatch).extend({ right: x.extra, bottom: y.extra, extendWith: 'repeat' }),
  );
  const scaledGrid = await resampled(grid, { width: x.total, height: y.total });
  const part = scaledGrid.extract({ left: x.offset, top: y.offset, width: clip.width, height: clip.height });
  return overlay(await masked(await lossless(part), clip, command), clip);
}

function glass({ glass: { rect, radius }, holes, colour }: Glass): OverlayOptions[] {
  const cutouts = holes.map((h) => svgRect(h.rect, h.radius, `fill="${colour}"`)).join('');
  return [
    { input: svg(rect, cutouts) },
    { input: svg(rect, svgRect(rect, radius, 'fill="#fff"')), blend: 'dest-in' },
  ];
}

/** A gradient as SVG, or the colour itself: what `fill` refers to, and the definition that it needs. */
function inkSvg(ink: FillInk): { fill: string; definition: string } {
  if (ink.kind === 'colour') return { fill: ink.colour, definition: '' };
  const stops = ink.stops.map((s) => `<stop offset="${s.at}" stop-color="${s.colour}"/>`).join('');
  const units = 'id="ink" gradientUnits="userSpaceOnUse"';
  const definition =
    ink.kind === 'linear'
      ? `<linearGradient ${units} x1="${ink.from.x}" y1="${ink.from.y}" x2="${ink.to.x}" y2="${ink.to.y}">${stops}</linearGradient>`
      : `<radialGradient ${units} cx="${ink.centre.x}" cy="${ink.centre.y}" r="${ink.radius}">${stops}</radialGradient>`;
  return { fill: 'url(#ink)', definition };
}

/** As eight hexadecimal digits, the opacity of a fill in them. */
function withOpacity(colour: string, opacity: number): string {
  const own = colour.length > 7 ? parseInt(colour.slice(7), 16) : 255;
  return `${colour.slice(0, 7)}${Math.round(own * opacity)
    .toString(16)
    .padStart(2, '0')}`;
}

/** Overlays have at least a px, and lie inside the drawing. */
function plainFill({ rect }: Fill, size: Size, colour: string): OverlayOptions[] {
  const [left, top] = [Math.max(0, rect.x), Math.max(0, rect.y)];
  const width = Math.min(size.width, rect.x + rect.width) - left;
  const height = Math.min(size.height, rect.y + rect.height) - top;
  if (width < 1 || height < 1) return [];
  return [{ input: { create: { width, height, channels: 4, background: colour } }, left, top }];
}

function fill(command: Fill, size: Size): OverlayOptions[] {
  const { rect, radius, ink, opacity } = command;
  // A rectangle of one colour needs no renderer of vectors.
  if (radius === 0 && ink.kind === 'colour')
    return plainFill(command, size, withOpacity(ink.colour, opacity));
  const { fill: reference, definition } = inkSvg(ink);
  const body = definition + svgRect(rect, radius, `fill="${reference}" opacity="${opacity}"`);
  return [{ input: svg(size, body) }];
}

function letters({ lines, scale, colour, opacity }: Letters, size: Size): OverlayOptions {
  const paths = lines.map(
    ({ outline, at }) => `<path transform="translate(${at.x} ${at.y}) scale(${scale})" d="${outline}"/>`,
  );
  return { input: svg(size, `<g fill="${colour}" opacity="${opacity}">${paths.join('')}</g>`) };
}

/** What groups look like by themselves: the frames of a film show the same ones, more and more of them. */
const alone = new WeakMap<readonly Command[], Promise<Buffer>>();

function paintedAlone(commands: readonly Command[], size: Size, bytes: Bytes): Promise<Buffer> {
  const made = alone.get(commands) ?? painted(commands, size, bytes).then(lossless);
  alone.set(commands, made);
  return made;
}

/** Drawn by itself first, then cut and thinned as one. */
async function group(
  { clip, opacity, commands }: Group,
  size: Size,
  bytes: Bytes,
): Promise<OverlayOptions[]> {
  const whole = { x: 0, y: 0, ...size };
  const own = await paintedAlone(commands, size, bytes);
  return [overlay(await masked(own, whole, { rounding: clip, opacity }), whole)];
}

async function overlays(command: Command, size: Size, bytes: Bytes): Promise<OverlayOptions[]> {
  switch (command.kind) {
    case 'fill':
      return fill(command, size);
    case 'letters':
      return [letters(command, size)];
    case 'group':
      return group(command, size, bytes);
    case 'glass':
      return glass(command);
    case 'image':
      return [await image(command, bytes)];
    case 'pattern':
      return [await pattern(command, bytes)];
  }
}

async function painted(commands: readonly Command[], size: Size, bytes: Bytes): Promise<Sharp> {
  const layers: OverlayOptions[] = [];
  for (const command of commands) layers.push(...(await overlays(command, size, bytes)));
  const { width, height } = size;
  return sharp({ create: { width, height, channels: 4, background: TRANSPARENT } }).composite(layers);
}

/** Carries out a drawing with sharp and encodes it as PNG. */
export async function paintPng({ size, commands }: Drawing, bytes: Bytes): Promise<Buffer> {
  return (await painted(commands, size, bytes)).png().toBuffer();
}

/** Carries out a drawing with sharp. @returns its pixels, four bytes each */
export async function paintRaw(
  { size, commands }: Drawing,
  bytes: Bytes,
): Promise<{ data: Buffer; width: number; height: number }> {
  const { data, info } = await (
    await painted(commands, size, bytes)
  )
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}
