import type { FolderFile } from '@/formats/files/folder';
import { readOriginal } from '../blobs';
import { folderFile } from '../pictures/folder-file';

export interface ToInspect {
  path: string;
  bytes: Buffer;
  /** the hash of the file of the project that has its name; `null` where there is none */
  own: string | null;
}

/** Looks at one file of a folder that somebody else put together. */
export const inspect = async ({ path, bytes, own }: ToInspect): Promise<FolderFile> =>
  folderFile(path, bytes, own === null ? null : await readOriginal(own));
