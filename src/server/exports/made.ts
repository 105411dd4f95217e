/** A file that was made. */
export interface Made {
  bytes: Buffer;
  /** for whoever keeps it */
  name: string;
  mediaType: string;
}
