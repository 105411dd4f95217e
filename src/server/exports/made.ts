import { Readable } from 'node:stream';

/** A file that was made, or that is made while it is read. */
export interface Made {
  content: Buffer | Readable;
  /** for whoever keeps it */
  name: string;
  mediaType: string;
  /** what there is to say of it */
  said?: string;
}

/** What was made, to be read bit by bit. */
export const readableOf = ({ content }: Made): Readable =>
  Buffer.isBuffer(content) ? Readable.from([content]) : content;

/** What was made, whole. */
export async function wholeOf(made: Made): Promise<Buffer> {
  if (Buffer.isBuffer(made.content)) return made.content;
  const chunks: Buffer[] = [];
  for await (const chunk of made.content) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}
