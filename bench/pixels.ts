import { readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { demoPictures } from '../demo/documents';
import { demoRenditions } from '../demo/testing';
import { previewWithin } from '../src/core/pictures/previews';
import { filePixelsOf, MOST_READ_PIXELS, type FilePixels } from '../src/core/pixels/file';

const DEMO = path.join(import.meta.dirname, '..', 'demo');

/** The made-up hash of a file of a demo picture: every file is one of its own, with pixels of its own. */
export const hashOf = (pictureId: string, file: number) => `${pictureId}-${file}`.padEnd(64, '0');

/** What is read of a file, which is a drawing in so many px. */
async function read(svg: string, file: { widthPx: number; heightPx: number }): Promise<FilePixels> {
  const whole = await sharp(readFileSync(path.join(DEMO, svg)))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { data, info } = await sharp(whole.data, { raw: whole.info })
    .resize(previewWithin(file, MOST_READ_PIXELS))
    .raw()
    .toBuffer({ resolveWithObject: true });
  return filePixelsOf({ width: info.width, height: info.height, data });
}

/** The pixels of all files of the demo, by their hashes. */
export async function demoPixels(): Promise<Map<string, FilePixels>> {
  const files = demoPictures.flatMap(({ id, files }) =>
    demoRenditions(id, (i) => hashOf(id, i)).map(
      async (file, i) => [file.hash, await read(files[i]!.svg, file)] as const,
    ),
  );
  return new Map(await Promise.all(files));
}
