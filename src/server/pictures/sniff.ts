import { fileTypeFromBuffer } from 'file-type/core';

export const PICTURE_TYPES = ['png', 'jpeg', 'webp', 'avif', 'svg'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** Media types of pictures that are made of pixels. Source: the IANA registry of media types, `image`. */
const BY_MEDIA_TYPE: Partial<Record<string, PictureType>> = {
  'image/png': 'png',
  'image/apng': 'png',
  'image/jpeg': 'jpeg',
  'image/webp': 'webp',
  'image/avif': 'avif',
};

/** An SVG document: after byte order mark, declaration, comments and doctype its first element is `svg`. */
function isSvg(bytes: Buffer): boolean {
  const start = bytes.toString('utf8', 0, 4096).replace(/^\uFEFF/, '');
  return /^\s*(<\?[^>]*\?>\s*|<!--[\s\S]*?-->\s*|<!DOCTYPE[^>[]*(\[[^\]]*\])?\s*>\s*)*<(\w+:)?svg[\s>/]/i.test(
    start,
  );
}

/** The type of a picture by its first bytes, whatever its name says; `null` for anything that is not accepted. */
export async function sniff(bytes: Buffer): Promise<PictureType | null> {
  if (bytes.length < 12) return null;
  const found = await fileTypeFromBuffer(bytes).catch(() => undefined);
  const type = found && BY_MEDIA_TYPE[found.mime];
  return type ?? (isSvg(bytes) ? 'svg' : null);
}
