import { inkOf } from './ink';
import { rgbaOf, type Raster, type Rgba } from './raster';
import { sumsOf, type Sums } from './sums';
import type { Rect } from '../geometry/rect';

/** A preview from which contrast is told has at most so many pixels: its tiles are means of some fifty of them. */
export const MOST_READ_PIXELS = 2 ** 17;

/** What measures read of the pixels of one file. */
export interface FilePixels {
  sums: Sums;
  /** where the ink lies, shares of the picture, and its mean colour; `null` for a picture without any */
  ink: { bounds: Rect; colour: Rgba } | null;
  /** what the ink of an opaque picture stands on: the colour of its border */
  border: Rgba | null;
}

export function filePixelsOf(raster: Raster): FilePixels {
  const ink = inkOf(raster);
  return {
    sums: sumsOf(raster),
    ink: ink && { bounds: ink.bounds, colour: rgbaOf(ink.colour) },
    border: ink?.border ? rgbaOf(ink.border) : null,
  };
}

const WHOLE: Rect = { x: 0, y: 0, width: 1, height: 1 };

/**
 * Where the ink of a file lies, shares of the picture; `null` where there is none. A tint leaves nothing of an opaque
 * picture but its rectangle, which is then its ink.
 */
export const inkBounds = ({ sums, ink }: FilePixels, tinted: boolean): Rect | null =>
  tinted && isOpaque(sums) ? WHOLE : (ink?.bounds ?? null);

/** Whether nothing shows through a file. */
export const isOpaque = ({ alpha }: Sums): boolean => alpha === null;

const HEADER = 8;

/** A raster as bytes: width and height as unsigned 32-bit numbers, little end first, then its pixels. */
export function packRaster({ width, height, data }: Raster): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(HEADER + data.length);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, width, true);
  view.setUint32(4, height, true);
  bytes.set(data, HEADER);
  return bytes;
}

/** @throws when the bytes are not those of a raster */
export function unpackRaster(buffer: ArrayBuffer): Raster {
  const view = new DataView(buffer);
  const [width, height] = [view.getUint32(0, true), view.getUint32(4, true)];
  const data = new Uint8Array(buffer, HEADER);
  if (data.length !== width * height * 4) throw new Error('These are not the pixels of a picture.');
  return { width, height, data };
}
