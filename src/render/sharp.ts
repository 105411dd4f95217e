import sharp, { type OverlayOptions, type Sharp } from 'sharp';
import type { Rect, Size } from '@/core/geometry/rect';
import type { Command, Drawing, Glass, Image, Pattern } from './drawing';

/** The bytes of a file, as something sharp can decode. */
export type Bytes = (hash: string) => Promise<Buffer>;

const TRANSPARENT = { r: 0, g: 0, b: 0, alpha: 0 };

const SVG_DPI = 72;

/**
 * A file resampled to an exact size; both extents are given, so nothing is fitted here. A photo is turned as its
 * EXIF orientation says; a vector is rasterised at the size it is drawn at.
 */
async function resampled(bytes: Buffer, to: Size): Promise<Sharp> {
  const { autoOrient: size, format } = await sharp(bytes).metadata();
  const grows = to.width > size.width || to.height > size.height;
  const factor = Math.max(1, to.width / size.width, to.height / size.height);
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

const svgRect = ({ x, y, width, height }: Rect, radius: number, fill: string, opacity = 1) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${radius}" fill="${fill}" opacity="${opacity}"/>`;

/** Takes away from an overlay, whose corner is at `at`, what lies outside of a rounded box, and thins it to its opacity. */
async function masked(overlay: Buffer, at: Rect, { rounding, opacity }: Image | Pattern): Promise<Buffer> {
  if (!rounding && opacity === 1) return overlay;
  const { rect, radius } = rounding ?? { rect: at, radius: 0 };
  const inside = { ...rect, x: rect.x - at.x, y: rect.y - at.y };
  const mask = svg(at, svgRect(inside, radius, '#fff', opacity));
  return sharp(overlay)
    .composite([{ input: mask, blend: 'dest-in' }])
    .png({ compressionLevel: 0 })
    .toBuffer();
}

const lossless = (image: Sharp) => image.png({ compressionLevel: 0 }).toBuffer();
const overlay = (input: Buffer, at: Rect): OverlayOptions => ({ input, left: at.x, top: at.y });

async function image(command: Image, bytes: Buffer): Promise<OverlayOptions> {
  const { dest, clip } = command;
  const part = (await resampled(bytes, dest)).extract({
    left: clip.x - dest.x,
    top: clip.y - dest.y,
    width: clip.width,
    height: clip.height,
  });
  return overlay(await masked(await lossless(part), clip, command), clip);
}

async function pattern(command: Pattern, bytes: Buffer): Promise<OverlayOptions> {
  const { tile, cell, pitch, origin, clip } = command;
  const swatch = await lossless(
    (await resampled(bytes, tile)).extend({
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
  const cutouts = holes.map((h) => svgRect(h.rect, h.radius, colour)).join('');
  return [
    { input: svg(rect, cutouts) },
    { input: svg(rect, svgRect(rect, radius, '#fff')), blend: 'dest-in' },
  ];
}

async function overlays(command: Command, bytes: Bytes): Promise<OverlayOptions[]> {
  switch (command.kind) {
    case 'fill':
      return [
        overlay(
          svg(command.rect, svgRect({ ...command.rect, x: 0, y: 0 }, 0, command.colour, command.opacity)),
          command.rect,
        ),
      ];
    case 'glass':
      return glass(command);
    case 'image':
      return [await image(command, await bytes(command.hash))];
    case 'pattern':
      return [await pattern(command, await bytes(command.hash))];
  }
}

/** Carries out a drawing with sharp and encodes it as PNG. */
export async function paintPng(drawing: Drawing, bytes: Bytes): Promise<Buffer> {
  const { width, height } = drawing.size;
  const layers: OverlayOptions[] = [];
  for (const command of drawing.commands) layers.push(...(await overlays(command, bytes)));
  return sharp({ create: { width, height, channels: 4, background: TRANSPARENT } })
    .composite(layers)
    .png()
    .toBuffer();
}
