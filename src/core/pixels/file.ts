import { inkOf, type Ink } from './ink';
import { rgbaOf, type Raster, type Rgba } from './raster';
import { thinnestOf } from './thinnest';
import { sumsOf, type Sums } from './sums';
import type { Rect } from '../geometry/rect';

/** A preview from which contrast is told has at most so many pixels: its tiles are means of some fifty of them. */
export const MOST_READ_PIXELS = 2 ** 17;

/** Where the ink of a file lies, shares of the picture, and its mean colour. */
export interface FileInk {
  bounds: Rect;
  /** mean place of the ink, each pixel counted by how much of it there is */
  centroid: { x: number; y: number };
  colour: Rgba;
  /** how thin its thinnest lines are, a share of the picture’s width, found when it is first asked for; `null` of an opaque picture */
  readonly line: number | null;
}

/** What measures read of the pixels of one file. */
export interface FilePixels {
  sums: Sums;
  /** `null` for a picture without any */
  ink: FileInk | null;
  /** what the ink of an opaque picture stands on: the colour of its border */
  border: Rgba | null;
}

/** The ink of a raster as measures read it. */
function fileInkOf({ bounds, centroid, colour, by }: Ink, raster: Raster): FileInk {
  let found: number | null = null;
  return {
    bounds,
    centroid,
    colour: rgbaOf(colour),
    // Only slots of icons ask for it, and it takes longer than all the rest.
    get line() {
      return by === 'alpha' ? (found ??= thinnestOf(raster) / raster.width) : null;
    },
  };
}

export function filePixelsOf(raster: Raster): FilePixels {
  const ink = inkOf(raster);
  return {
    sums: sumsOf(raster),
    ink: ink && fileInkOf(ink, raster),
    border: ink?.border ? rgbaOf(ink.border) : null,
  };
}

/** Of a picture that is a rectangle of one colour. */
const WHOLE: Pick<FileInk, 'bounds' | 'centroid'> = {
  bounds: { x: 0, y: 0, width: 1, height: 1 },
  centroid: { x: 0.5, y: 0.5 },
};

/**
 * The ink of a file as it is drawn; `null` where there is none. A tint leaves nothing of an opaque picture but its rectangle,
 * which is then its ink.
 */
export const inkIn = ({ sums, ink }: FilePixels, tinted: boolean): FileInk | null =>
  tinted && isOpaque(sums) ? { ...WHOLE, colour: ink?.colour ?? NOTHING, line: null } : ink;

const NOTHING: Rgba = { r: 0, g: 0, b: 0, a: 0 };

/** Where the ink of a file lies, likewise, shares of the picture. */
export const inkBounds = (file: FilePixels, tinted: boolean): Rect | null =>
  inkIn(file, tinted)?.bounds ?? null;

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
