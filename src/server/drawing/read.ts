import sharp from 'sharp';
import type { KeptFile } from '@/core/pictures/kept-file';
import { previewWithin } from '@/core/pictures/previews';
import { inkOf, type Ink } from '@/core/pixels/ink';
import type { Raster } from '@/core/pixels/raster';
import { statisticsOf, type Statistics } from '@/core/pixels/statistics';
import { readOriginal, readPreview } from '../blobs';
import { decode, rawOf } from './decode';

export interface ToRead {
  file: Pick<KeptFile, 'hash' | 'vector' | 'widthPx' | 'heightPx'>;
  /** of the preview that is read */
  mostPixels: number;
}

/** The pixels of the largest preview that is not too large. */
export async function read({ file, mostPixels }: ToRead): Promise<Raster> {
  const { data, info } = await rawOf(sharp(await readPreview(file.hash, previewWithin(file, mostPixels))));
  return { width: info.width, height: info.height, data };
}

/** Beyond this a file is not decoded whole once more only to place its ink by a pixel. */
const MOST_REFINED = 25_000_000;

/** Ink that reaches every side cannot reach any further; a preview as large as its file has nothing to add. */
function isWorthRefining(file: ToRead['file'], preview: Raster, { bounds }: Ink): boolean {
  if (file.vector || file.widthPx <= preview.width || file.widthPx * file.heightPx > MOST_REFINED)
    return false;
  return bounds.x > 0 || bounds.y > 0 || bounds.x + bounds.width < 1 || bounds.y + bounds.height < 1;
}

/** Where the ink lies in the file itself, in one pass over its pixels. */
async function refinedInk(hash: string, fallback: Ink): Promise<Ink> {
  const { data, info } = await rawOf(decode(await readOriginal(hash)));
  return inkOf({ width: info.width, height: info.height, data }) ?? fallback;
}

/** What the pixels of a file say. */
export async function look(asked: ToRead): Promise<Statistics> {
  const raster = await read(asked);
  const found = statisticsOf(raster);
  if (found.ink && isWorthRefining(asked.file, raster, found.ink))
    found.ink = await refinedInk(asked.file.hash, found.ink);
  return found;
}
