import { pixels } from '@/formats/api/files';
import { addressOf } from '@/formats/api/operation';
import { filePixelsOf, unpackRaster, type FilePixels } from '@/core/pixels/file';

/** What measures read of the pixels of one file. @throws when the server has no such file or cannot be reached */
async function loadFilePixels(hash: string, send: typeof fetch): Promise<FilePixels> {
  const response = await send(addressOf(pixels, { hash }));
  if (!response.ok) throw new Error(`The pixels of ${hash}: ${response.status}`);
  return filePixelsOf(unpackRaster(await unpacked(await response.arrayBuffer())));
}

/** By which a file of gzip begins. Source: RFC 1952, §2.3.1. */
const GZIP = 0x8b1f;

/** Bytes without gzip around them; those that an earlier version sent, and the browser kept, have none. */
export async function unpacked(bytes: ArrayBuffer): Promise<ArrayBuffer> {
  if (bytes.byteLength < 2 || new DataView(bytes).getUint16(0, true) !== GZIP) return bytes;
  const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('gzip'));
  return new Response(stream).arrayBuffer();
}

/**
 * Loads the pixels of files, each once; what could not be loaded is asked for again the next time.
 * @param send how a page asks its server, such as one that waits for a new session
 */
export function createFilePixels(send: typeof fetch = (...asked) => fetch(...asked)) {
  const known = new Map<string, FilePixels>();
  const asked = new Map<string, Promise<void>>();
  const load = (hash: string): Promise<void> => {
    const running =
      asked.get(hash) ??
      loadFilePixels(hash, send).then(
        (pixels) => void known.set(hash, pixels),
        () => void asked.delete(hash),
      );
    asked.set(hash, running);
    return running;
  };
  /**
   * @param onRead hears how many of them have been read, each time that it is one more; not where all were known before
   * @returns everything known once these are, as far as they could be loaded
   */
  return async (
    hashes: readonly string[],
    onRead?: (done: number, of: number) => void,
  ): Promise<ReadonlyMap<string, FilePixels>> => {
    const wanted = [...new Set(hashes)];
    let done = wanted.filter((hash) => known.has(hash)).length;
    if (done < wanted.length) onRead?.(done, wanted.length);
    await Promise.all(
      wanted
        .filter((hash) => !known.has(hash))
        .map((hash) => load(hash).then(() => onRead?.(++done, wanted.length))),
    );
    return new Map(known);
  };
}
