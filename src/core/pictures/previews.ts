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

/** The smallest preview that is at least as wide as what is drawn, or the widest there is. */
export function previewFor(widthPx: number, drawnPx: number): number {
  const widths = previewWidths(widthPx);
  return widths.find((w) => w >= drawnPx) ?? widths.at(-1)!;
}

/** The widest preview of a file that has at most so many pixels, or the smallest there is. */
export function previewWithin(file: { widthPx: number; heightPx: number }, mostPixels: number): number {
  const widths = previewWidths(file.widthPx);
  const fits = (width: number) => width * Math.ceil((width * file.heightPx) / file.widthPx) <= mostPixels;
  return widths.findLast(fits) ?? widths[0]!;
}
