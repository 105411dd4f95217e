import { MEDIA_TYPES } from '@/formats/text/media-types';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { sniff, type PictureType } from '../pictures/sniff';
import { Problem } from '../problem';

/** An address that holds a file itself. Source: RFC 2397. */
export const dataAddress = (bytes: Uint8Array, mediaType: string): string =>
  `data:${mediaType};base64,${Buffer.from(bytes).toString('base64')}`;

/**
 * By which the EXIF of a file begins. Source: CIPA DC-008 §4.7.2 for JPEG, W3C PNG 3 §11.3.3.5, RFC 9649 §2.7.1.5 for WebP.
 */
const EXIF: Partial<Record<PictureType, string>> = { jpeg: 'Exif\0\0', png: 'eXIf', webp: 'EXIF' };

/** A picture as whoever does not read EXIF shows it, too. */
async function uprightOf(bytes: Buffer, type: PictureType, by: For): Promise<Buffer> {
  const mark = EXIF[type];
  if (mark === undefined || bytes.indexOf(mark, 0, 'latin1') < 0) return bytes;
  const cost = bytes.length;
  return drawn(
    { kind: 'upright', input: { bytes, type }, cost, deadlineMs: DRAWING.decodeMs, name: 'A turned photo' },
    by,
  );
}

/**
 * Addresses that hold files of pictures themselves, by their hash; photos that their EXIF turns are turned in them.
 * @throws Problem 410 for a file that is lost, 422 for one that is no picture
 */
export async function dataAddresses(
  hashes: readonly string[],
  original: (hash: string) => Promise<Buffer>,
  by: For,
): Promise<Map<string, string>> {
  const found = new Map<string, string>();
  for (const hash of hashes) {
    const bytes = await original(hash);
    const type = await sniff(bytes);
    if (!type)
      throw new Problem(422, `The file ${hash.slice(0, 12)}… is no picture any more. Import it again.`);
    found.set(hash, dataAddress(await uprightOf(bytes, type, by), MEDIA_TYPES[type]));
  }
  return found;
}
