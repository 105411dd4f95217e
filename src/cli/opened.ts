import type { Host } from '@/render/host';
import type { ToReview } from '@/render/review';

/** A project that the command line has found, and where what a review needs is taken from. */
export interface Opened extends ToReview {
  host: Host;
  /** the bytes of files and of imported fonts, by their hash */
  bytes: { original: (hash: string) => Promise<Buffer>; font: (hash: string) => Buffer };
  /** lets go of what was opened */
  close: () => void;
}

/** What the caller can put right: the command could not run. */
export class Refusal extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'Refusal';
  }
}
