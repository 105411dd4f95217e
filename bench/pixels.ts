import { readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { demoPictures } from '../demo/documents';
import { previewWidths } from '../src/core/pictures/previews';
import { filePixelsOf, MOST_READ_PIXELS, type FilePixels } from '../src/core/pixels/file';

const DEMO = path.join(import.meta.dirname, '..', 'demo');

/** The made-up hash of a file of a demo picture: every file is one of its own, with pixels of its own. */
export const hashOf = (pictureId: string, file: number) => `${pictureId}-${file}`.padEnd(64, '0');

/** What is read of a file of so many px: the largest preview that is not too large. */
async function read(svg: string, widthPx: number): Promise<FilePixels> {
  const whole = await sharp(readFileSync(path.join(DEMO, svg)))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const shape = whole.info.width / whole.info.height;
  const width = previewWidths(widthPx).findLast((w) => w * Math.ceil(w / shape) <= MOST_READ_PIXELS)!;
  const { data, info } = await sharp(whole.data, { raw: whole.info })
    .resize(width)
    .raw()
    .toBuffer({ resolveWithObject: true });
  return filePixelsOf({ width: info.width, height: info.height, data });
}

/** The pixels of all files of the demo, by their hashes. */
export async function demoPixels(): Promise<Map<string, FilePixels>> {
  const files = demoPictures.flatMap(({ id, files }) =>
    files.map(async ({ svg, widthPx }, i) => [hashOf(id, i), await read(svg, widthPx)] as const),
  );
  return new Map(await Promise.all(files));
}
