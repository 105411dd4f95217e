import type { Raster } from '@/core/pixels/raster';
import { apart } from '@/core/pixels/apart';
import type { FolderFile } from '@/formats/files/folder';
import { hashOf } from '../blobs';
import { decode, rawOf } from './decode';
import { besideDifference, pngAddress } from './difference';
import { profileOf } from './profile';
import { sniff, type PictureType } from './sniff';
import { svgProblem } from './svg';

/** Px across and down at which two files are held against each other: what they show, not how sharp they are. */
const SMALL = 48;

async function small(bytes: Buffer): Promise<Raster> {
  const { data, info } = await rawOf(decode(bytes).resize(SMALL, SMALL, { fit: 'fill' }));
  return { width: info.width, height: info.height, data };
}

/** Px of the longer side at which both are shown where they differ. */
const SHOWN = 132;

/** The file of the project, that of the folder at its shape, and how they differ, beside one another. */
async function picturedBeside(own: Buffer, bytes: Buffer): Promise<string> {
  const { data, info } = await rawOf(decode(own).resize(SHOWN, SHOWN, { fit: 'inside' }));
  const { width, height } = info;
  const found = await rawOf(decode(bytes).resize(width, height, { fit: 'fill' }));
  const part = { x: 0, y: 0, width, height };
  const picture = await besideDifference(
    { width, height, data },
    { width, height, data: found.data },
    part,
    1,
  );
  return pngAddress(picture);
}

/** @throws where it cannot be decoded */
async function looked(bytes: Buffer, type: PictureType, own: Buffer | null) {
  const picture = decode(bytes);
  const metadata = await picture.metadata();
  const { width, height } = metadata.autoOrient;
  const isRaster = type !== 'svg';
  return {
    widthPx: width,
    heightPx: height,
    transparent: metadata.hasAlpha && isRaster ? !(await picture.stats()).isOpaque : metadata.hasAlpha,
    profile: profileOf(metadata),
    ...(own && {
      apart: apart(await small(bytes), await small(own)),
      picture: await picturedBeside(own, bytes),
    }),
  };
}

/** A file that cannot be read as a picture. */
export const noPicture = (path: string, bytes: Buffer): FolderFile => ({
  path,
  hash: hashOf(bytes),
  bytes: bytes.length,
  type: null,
  widthPx: 0,
  heightPx: 0,
  transparent: false,
  profile: null,
});

/**
 * One file of a folder as it lies there; what cannot be read as a picture is none.
 * @param own the file of the project that has its name, from which it differs; `null` where there is none
 */
export async function folderFile(path: string, bytes: Buffer, own: Buffer | null): Promise<FolderFile> {
  const none = noPicture(path, bytes);
  const type = await sniff(bytes);
  if (!type || (type === 'svg' && svgProblem(bytes.toString('utf8')))) return none;
  try {
    return { ...none, type, ...(await looked(bytes, type, own)) };
  } catch {
    return none;
  }
}
