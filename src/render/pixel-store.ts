import { previewFor, type FileSize } from '@/core/pictures/previews';
import type { BitmapOf } from './canvas';

/** Decoded previews of files. */
export interface PixelStore {
  pixels: BitmapOf;
  subscribe: (listener: () => void) => () => void;
  /** changes whenever more pixels have arrived */
  version: () => number;
}

/** After how long pixels that could not be loaded are asked for again, and how often by themselves. */
const AGAIN_AFTER_MS = 2000;
const MOST_FAULTS = 5;

/**
 * Previews that are loaded when something is drawn of them, and kept.
 * @param sizeOf px of a file, or `undefined` for one that is not to be drawn
 * @param load one of the previews of a file; what it rejects with is asked for again later
 */
export function createPixelStore(
  sizeOf: (hash: string) => FileSize | undefined,
  load: (hash: string, widthPx: number) => Promise<Blob>,
): PixelStore {
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
    const decoded = load(hash, widthPx).then((blob) => createImageBitmap(blob));
    decoded.then(
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
