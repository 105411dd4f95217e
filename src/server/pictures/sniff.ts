export const PICTURE_TYPES = ['png', 'jpeg', 'webp', 'avif', 'svg'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

const ascii = (bytes: Buffer, from: number, to: number) => bytes.toString('latin1', from, to);

/** ISO base media files name their brand at 8 and compatible ones from 16 on. */
function isAvif(bytes: Buffer): boolean {
  if (ascii(bytes, 4, 8) !== 'ftyp') return false;
  const end = Math.min(bytes.length, bytes.readUInt32BE(0), 64);
  return /avif|avis/.test(ascii(bytes, 8, end));
}

/** An SVG document: after byte order mark, declaration, comments and doctype its first element is `svg`. */
function isSvg(bytes: Buffer): boolean {
  const start = bytes.toString('utf8', 0, 4096).replace(/^\uFEFF/, '');
  return /^\s*(<\?[^>]*\?>\s*|<!--[\s\S]*?-->\s*|<!DOCTYPE[^>[]*(\[[^\]]*\])?\s*>\s*)*<(\w+:)?svg[\s>/]/i.test(
    start,
  );
}

/** The type of a picture by its first bytes, whatever its name says; `null` for anything that is not accepted. */
export function sniff(bytes: Buffer): PictureType | null {
  if (bytes.length < 12) return null;
  if (bytes.readUInt32BE(0) === 0x89504e47 && bytes.readUInt32BE(4) === 0x0d0a1a0a) return 'png';
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return 'jpeg';
  if (ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 12) === 'WEBP') return 'webp';
  if (isAvif(bytes)) return 'avif';
  return isSvg(bytes) ? 'svg' : null;
}
