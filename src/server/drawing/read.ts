import sharp from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { previewWithin } from '@/core/pictures/previews';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import { inkOf, type Ink } from '@/core/pixels/ink';
import type { Raster } from '@/core/pixels/raster';
import { MOST_LOOKED_AT, statisticsOf, type Statistics } from '@/core/pixels/statistics';
import { readOriginal, readPreview } from '../blobs';
import { decode, rawOf } from '../pictures/decode';

/** The file whose pixels are asked for. */
export type ToRead = Pick<KeptFile, 'hash' | 'vector' | 'widthPx' | 'heightPx'>;

/** Where the bytes of files are taken from. */
export interface FileBytes {
  original: (hash: string) => Promise<Buffer>;
  preview: (hash: string, widthPx: number) => Promise<Buffer>;
}

/** The store. */
export const STORED: FileBytes = { original: readOriginal, preview: readPreview };

/** The pixels of the largest preview of a file that is not too large. */
async function within(file: ToRead, mostPixels: number, from: FileBytes): Promise<Raster> {
  const preview = await from.preview(file.hash, previewWithin(file, mostPixels));
  const { data, info } = await rawOf(sharp(preview));
  return { width: info.width, height: info.height, data };
}

/** The pixels from which contrast is told. */
export const read = (file: ToRead, from = STORED): Promise<Raster> => within(file, MOST_READ_PIXELS, from);

/** Beyond this a file is not decoded whole once more only to place its ink by a pixel. */
const MOST_REFINED = 25_000_000;

/** Ink that reaches every side cannot reach any further; a preview as large as its file has nothing to add. */
function isWorthRefining(file: ToRead, preview: Raster, { bounds }: Ink): boolean {
  if (file.vector || file.widthPx <= preview.width || file.widthPx * file.heightPx > MOST_REFINED)
    return false;
  return bounds.x > 0 || bounds.y > 0 || bounds.x + bounds.width < 1 || bounds.y + bounds.height < 1;
}

/** Where the ink lies in a preview, or in the file itself, in one pass over its pixels, where that says more. */
async function inkIn(file: ToRead, preview: Raster, from: FileBytes): Promise<Ink | null> {
  const ink = inkOf(preview);
  if (!ink || !isWorthRefining(file, preview, ink)) return ink;
  const { data, info } = await rawOf(decode(await from.original(file.hash)));
  return inkOf({ width: info.width, height: info.height, data }) ?? ink;
}

/** Where the ink of a file lies; `null` for one without any. */
export const readInk = async (file: ToRead, from = STORED): Promise<Ink | null> =>
  inkIn(file, await within(file, MOST_LOOKED_AT, from), from);

/** What the pixels of a file say. */
export async function look(file: ToRead): Promise<Statistics> {
  const preview = await within(file, MOST_LOOKED_AT, STORED);
  return { ...statisticsOf(preview), ink: await inkIn(file, preview, STORED) };
}
