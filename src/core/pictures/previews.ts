import type { Size } from '../geometry/rect';

/** Px of a file. */
export interface FileSize {
  widthPx: number;
  heightPx: number;
}

/** Widths in px at which previews of a file are kept, besides its own width. */
const LEVELS = [64, 128, 256, 512, 1024, 2048] as const;

/**
 * Widths of the previews of a file: the levels below its own width, and its own width up to the largest level.
 * @param widthPx width of the file
 */
export function previewWidths(widthPx: number): number[] {
  const largest = Math.min(widthPx, LEVELS.at(-1)!);
  return [...LEVELS.filter((w) => w < largest), largest];
}

/**
 * Width of the smallest preview with at least as many columns and rows as are drawn, or of the widest there is.
 * @param drawn px
 */
export function previewFor(file: FileSize, drawn: Size): number {
  const { widthPx, heightPx } = file;
  const asked = Math.max(drawn.width, (drawn.height * widthPx) / heightPx);
  const widths = previewWidths(widthPx);
  // The last bit of a quotient asks for no larger one.
  return widths.find((w) => w >= asked - 1e-6) ?? widths.at(-1)!;
}

/** The widest preview of a file that has at most so many pixels, or the smallest there is. */
export function previewWithin(file: FileSize, mostPixels: number): number {
  const widths = previewWidths(file.widthPx);
  const fits = (width: number) => width * Math.ceil((width * file.heightPx) / file.widthPx) <= mostPixels;
  return widths.findLast(fits) ?? widths[0]!;
}
