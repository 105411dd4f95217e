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

type SizeOf = (hash: string) => FileSize | undefined;
type Load = (hash: string, widthPx: number) => Promise<Blob>;

class Previews implements PixelStore {
  private readonly loaded = new Map<string, Map<number, ImageBitmap>>();
  private readonly asked = new Set<string>();
  private readonly faults = new Map<string, number>();
  private readonly listeners = new Set<() => void>();
  private arrivals = 0;

  constructor(
    private readonly sizeOf: SizeOf,
    private readonly load: Load,
  ) {}

  readonly pixels: BitmapOf = (hash, drawn) => {
    const size = this.sizeOf(hash);
    if (size === undefined) return null;
    const level = previewFor(size, drawn);
    const levels = this.loaded.get(hash);
    const exact = levels?.get(level);
    if (exact) return exact;
    this.request(hash, level);
    const others = [...(levels?.keys() ?? [])];
    return others.length > 0 ? levels!.get(Math.max(...others))! : null;
  };

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly version = (): number => this.arrivals;

  private tell(): void {
    this.arrivals++;
    for (const listener of this.listeners) listener();
  }

  private request(hash: string, widthPx: number): void {
    const key = `${hash}-${widthPx}`;
    if (this.asked.has(key)) return;
    this.asked.add(key);
    const decoded = this.load(hash, widthPx).then((blob) => createImageBitmap(blob));
    decoded.then(
      (bitmap) => {
        const levels = this.loaded.get(hash) ?? new Map<number, ImageBitmap>();
        this.loaded.set(hash, levels.set(widthPx, bitmap));
        this.tell();
      },
      () => this.again(key),
    );
  }

  /** What could not be loaded is asked for again by whatever is painted then; a file that is lost not for ever. */
  private again(key: string): void {
    const count = (this.faults.get(key) ?? 0) + 1;
    this.faults.set(key, count);
    setTimeout(() => {
      this.asked.delete(key);
      if (count < MOST_FAULTS) this.tell();
    }, AGAIN_AFTER_MS);
  }
}

/**
 * Previews that are loaded when something is drawn of them, and kept.
 * @param sizeOf px of a file, or `undefined` for one that is not to be drawn
 * @param load one of the previews of a file; what it rejects with is asked for again later
 */
export const createPixelStore = (sizeOf: SizeOf, load: Load): PixelStore => new Previews(sizeOf, load);
