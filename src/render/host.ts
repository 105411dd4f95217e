import type { FilePixels } from '@/core/pixels/file';
import type { Ink } from '@/core/pixels/ink';
import type { Fonts } from './fonts';

/**
 * Where a review takes from what it does not know itself: a store, a folder, or a server on the other side of HTTP. What
 * cannot be read is left out of the answer.
 */
export interface Host {
  /** what measures read of the pixels of files, by their hash */
  pixels: (hashes: readonly string[]) => Promise<ReadonlyMap<string, FilePixels>>;
  /** where the ink of files lies, by their hash; a file without any is left out */
  ink: (hashes: readonly string[]) => Promise<ReadonlyMap<string, Ink>>;
  /** the fonts that come with the product, and imported ones by their hash */
  fonts: (hashes: readonly string[]) => Promise<Fonts>;
}
