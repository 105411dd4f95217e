import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { packRaster } from '@/core/pixels/file';
import type { Raster } from '@/core/pixels/raster';
import { readDerived, storeDerived } from '../blobs';

const gzipped = promisify(gzip);

/** As pixels are worked out and packed: what was kept of another version is not used. */
const VERSION = 'raster-1.gz';

/** The pixels that contrast is told from as the core writes them, packed by gzip. */
export const packPixels = (raster: Raster): Promise<Buffer> => gzipped(packRaster(raster));

/** The packed pixels of a file as they were kept; `null` where they were not, or are not as they were. */
export const keptPixels = (hash: string): Promise<Buffer | null> => readDerived(hash, VERSION);

export const keepPixels = (hash: string, packed: Buffer): Promise<void> =>
  storeDerived(hash, VERSION, packed);
