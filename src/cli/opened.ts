import type { Documents } from '@/core/project/documents';
import type { KeptSignOff } from '@/core/review/sign-off';
import type { FileFacts } from '@/formats/files/names';
import type { Host } from '@/render/host';
import type { ToReview } from '@/render/review';
import type { Bytes } from '@/server/exports/page';

/** A project that the command line has found, and where what a review needs is taken from. */
export interface Opened extends ToReview {
  host: Host;
  /** the bytes of files and of imported fonts, by their hash */
  bytes: Bytes;
  /** of which type and how large its files are, by their hash */
  facts: () => Promise<FileFacts>;
  /** in the order in which they were signed; whether each is as it was signed is not looked at */
  signOffs: readonly KeptSignOff[];
  /** what a review of other documents with files of this project takes from here */
  hostOf: (documents: Documents) => Host;
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
