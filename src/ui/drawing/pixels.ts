import { preview } from '@/formats/api/files';
import { addressOf } from '@/formats/api/operation';
import type { FileSize } from '@/core/pictures/previews';
import type { Project } from '@/core/project/project';
import { createPixelStore, type PixelStore } from '@/render/pixel-store';
import { fetchInside } from '../session';

export const previewAddress = (hash: string, widthPx: number) =>
  addressOf(preview, { hash, width: String(widthPx) });

async function load(hash: string, widthPx: number): Promise<Blob> {
  const response = await fetchInside(previewAddress(hash, widthPx));
  if (!response.ok) throw new Error(`Preview ${hash} at ${widthPx} px: ${response.status}`);
  return response.blob();
}

/** The pixels of the files of a project. @param sizeOf px of a file, or `undefined` for one that the project does not hold */
export const projectPixels = (sizeOf: (hash: string) => FileSize | undefined): PixelStore =>
  createPixelStore(sizeOf, load);

/** Files by their hash, once for each list of pictures: it is asked for each picture that is drawn. */
const byHash = new WeakMap<Project['pictures'], ReadonlyMap<string, FileSize>>();

export const sizeOfFile =
  ({ pictures }: Pick<Project, 'pictures'>) =>
  (hash: string): FileSize | undefined => {
    const known = byHash.get(pictures);
    if (known) return known.get(hash);
    const files = new Map(
      pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions)).map((r) => [r.hash, r]),
    );
    byHash.set(pictures, files);
    return files.get(hash);
  };
