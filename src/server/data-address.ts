import { MEDIA_TYPES } from '@/formats/media-types';
import { sniff } from './pictures/sniff';
import { Problem } from './problem';

/** An address that holds a file itself. Source: RFC 2397. */
export const dataAddress = (bytes: Uint8Array, mediaType: string): string =>
  `data:${mediaType};base64,${Buffer.from(bytes).toString('base64')}`;

/**
 * Addresses that hold files of pictures themselves, by their hash.
 * @throws Problem 410 for a file that is lost, 422 for one that is no picture
 */
export async function dataAddresses(
  hashes: readonly string[],
  original: (hash: string) => Promise<Buffer>,
): Promise<Map<string, string>> {
  const found = new Map<string, string>();
  for (const hash of hashes) {
    const bytes = await original(hash);
    const type = await sniff(bytes);
    if (!type)
      throw new Problem(422, `The file ${hash.slice(0, 12)}… is no picture any more. Import it again.`);
    found.set(hash, dataAddress(bytes, MEDIA_TYPES[type]));
  }
  return found;
}
