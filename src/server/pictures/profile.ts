import type { Metadata } from 'sharp';
import { UNPROFILED_CMYK } from '@/core/pictures/kept-file';

const SIGNATURES = 128;
const ENTRY = 12;
const MOST_TAGS = 100;

/** The bytes of a tag of an ICC profile. Source: ICC.1:2022 §7.3, the tag table. */
function tagOf(icc: Buffer, signature: string): Buffer | null {
  if (icc.length < SIGNATURES + 4) return null;
  const count = Math.min(icc.readUInt32BE(SIGNATURES), MOST_TAGS);
  for (let i = 0; i < count; i++) {
    const at = SIGNATURES + 4 + i * ENTRY;
    if (at + ENTRY > icc.length) return null;
    if (icc.toString('latin1', at, at + 4) !== signature) continue;
    const offset = icc.readUInt32BE(at + 4);
    return icc.subarray(offset, offset + icc.readUInt32BE(at + 8));
  }
  return null;
}

/** What a profile calls itself: text of version 2 (`desc`), or the first language of version 4 (`mluc`). */
function descriptionOf(icc: Buffer): string | null {
  const tag = tagOf(icc, 'desc');
  if (!tag || tag.length < 12) return null;
  const type = tag.toString('latin1', 0, 4);
  if (type === 'desc') {
    const end = 12 + tag.readUInt32BE(8);
    return tag.toString('latin1', 12, Math.min(end, tag.length)).replaceAll('\0', '').trim() || null;
  }
  if (type !== 'mluc' || tag.length < 28) return null;
  const [length, offset] = [tag.readUInt32BE(20), tag.readUInt32BE(24)];
  const text = Buffer.from(tag.subarray(offset, offset + (length & ~1)));
  return text.swap16().toString('utf16le').replaceAll('\0', '').trim() || null;
}

const SPACES: Partial<Record<string, string>> = { cmyk: 'CMYK', lab: 'Lab', rgb16: '16 bits a channel' };

/**
 * The colour profile of a file where that is not sRGB, else `null`. A file without a profile counts as sRGB, and a
 * grey one with a grey profile as well.
 */
export function profileOf({ space, icc, channels }: Metadata): string | null {
  if (space === 'cmyk' && !icc) return UNPROFILED_CMYK;
  const named = icc && descriptionOf(icc);
  const other = space ? (SPACES[space] ?? null) : null;
  if (!named) return other;
  if (/srgb/i.test(named)) return other;
  return channels !== undefined && channels < 3 ? null : named.slice(0, 120);
}
