import { preview } from '@/formats/api/files';
import { addressOf } from '@/formats/api/operation';
import { previewFor, type FileSize } from '@/core/pictures/previews';
import type { Project } from '@/core/project/project';
import type { BitmapOf } from '@/render/canvas';
import { fetchInside } from '../session';

/** Decoded previews of the project’s files. */
export interface PixelStore {
  pixels: BitmapOf;
  subscribe: (listener: () => void) => () => void;
  /** changes whenever more pixels have arrived */
  version: () => number;
}

export const previewAddress = (hash: string, widthPx: number) =>
  addressOf(preview, { hash, width: String(widthPx) });

async function load(hash: string, widthPx: number): Promise<ImageBitmap> {
  const response = await fetchInside(previewAddress(hash, widthPx));
  if (!response.ok) throw new Error(`Preview ${hash} at ${widthPx} px: ${response.status}`);
  return createImageBitmap(await response.blob());
}

/** After how long pixels that could not be loaded are asked for again, and how often by themselves. */
const AGAIN_AFTER_MS = 2000;
const MOST_FAULTS = 5;

/** @param sizeOf px of a file of the project, or `undefined` for one that it does not hold */
export function createPixelStore(sizeOf: (hash: string) => FileSize | undefined): PixelStore {
  const loaded = new Map<string, Map<number, ImageBitmap>>();
  const asked = new Set<string>();
  const faults = new Map<string, number>();
  const listeners = new Set<() => void>();
  let version = 0;

  const tell = () => {
    version++;
    for (const listener of listeners) listener();
  };
  /** What could not be loaded is asked for again by whatever is painted then; a file that is lost not for ever. */
  const again = (key: string) => {
    const count = (faults.get(key) ?? 0) + 1;
    faults.set(key, count);
    setTimeout(() => {
      asked.delete(key);
      if (count < MOST_FAULTS) tell();
    }, AGAIN_AFTER_MS);
  };

  const request = (hash: string, widthPx: number) => {
    const key = `${hash}-${widthPx}`;
    if (asked.has(key)) return;
    asked.add(key);
    load(hash, widthPx).then(
      (bitmap) => {
        loaded.set(hash, (loaded.get(hash) ?? new Map<number, ImageBitmap>()).set(widthPx, bitmap));
        tell();
      },
      () => again(key),
    );
  };

  return {
    pixels(hash, drawn) {
      const size = sizeOf(hash);
      if (size === undefined) return null;
      const level = previewFor(size, drawn);
      const levels = loaded.get(hash);
      const exact = levels?.get(level);
      if (exact) return exact;
      request(hash, level);
      const others = [...(levels?.keys() ?? [])];
      return others.length > 0 ? levels!.get(Math.max(...others))! : null;
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    version: () => version,
  };
}

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
