import type { Size } from '../geometry/rect';

/** Px of a file. */
export interface FileSize {
  widthPx: number;
  heightPx: number;
}

/** Widths in px at which previews of a file are kept, besides its own width. */
const LEVELS = [64, 128, 256, 512, 1024, 2048] as const;

/** The most pixels that a WebP, such as a preview, may have along a side. Source: RFC 9649 (WebP), §2.5: 14 bits a side. */
export const LONGEST_WEBP = 16383;

/**
 * Widths of the previews of a file: the levels below its own width, and its own width up to the largest level. A file so
 * tall that its preview would have too many rows has narrower ones.
 */
export function previewWidths({ widthPx, heightPx }: FileSize): number[] {
  const tallest = Math.floor((LONGEST_WEBP * widthPx) / heightPx);
  const largest = Math.max(1, Math.min(widthPx, LEVELS.at(-1)!, tallest));
  return [...LEVELS.filter((w) => w < largest), largest];
}

/** Whether a file is so narrow that not even a preview of one column could be kept. */
export const isTooNarrow = ({ widthPx, heightPx }: FileSize): boolean => heightPx > LONGEST_WEBP * widthPx;

/**
 * How many times its own size a drawing can be rendered at most. What renders it takes no more than 100,000 dots per inch,
 * of which a drawing has 72 at its own size.
 * @param mostPixels of the rendered drawing
 */
export const mostTimes = ({ widthPx, heightPx }: FileSize, mostPixels: number): number =>
  Math.min(100_000 / 72, Math.sqrt(mostPixels / (widthPx * heightPx)));

/**
 * Width of the smallest preview with at least as many columns and rows as are drawn, or of the widest there is.
 * @param drawn px
 */
export function previewFor(file: FileSize, drawn: Size): number {
  const { widthPx, heightPx } = file;
  const asked = Math.max(drawn.width, (drawn.height * widthPx) / heightPx);
  const widths = previewWidths(file);
  // The last bit of a quotient asks for no larger one.
  return widths.find((w) => w >= asked - 1e-6) ?? widths.at(-1)!;
}

/** The widest preview of a file that has at most so many pixels, or the smallest there is. */
export function previewWithin(file: FileSize, mostPixels: number): number {
  const widths = previewWidths(file);
  const fits = (width: number) => width * Math.ceil((width * file.heightPx) / file.widthPx) <= mostPixels;
  return widths.findLast(fits) ?? widths[0]!;
}
