import { PassThrough, type Readable } from 'node:stream';
import { ZipFile } from 'yazl';

/** The first time that a ZIP can name, in whatever place: the same files are the same ZIP, whenever it is made. */
const EARLIEST = new Date(1980, 0, 1);
/** Whoever unpacks it may read and write it, others may read it. */
const MODE = 0o100644;

/** A file in a ZIP: its bytes, or the way to them when it is their turn. */
export interface Entry {
  path: string;
  content: Buffer | (() => Promise<Readable>);
  /** whether it is packed; pictures are already */
  pack: boolean;
}

/**
 * A ZIP that is made while it is read, one file after another, so that no two of them lie in memory. A file that cannot be
 * read ends it with that fault.
 * @param onEntry hears how many files are through
 */
export function zipOf(entries: readonly Entry[], onEntry: (done: number) => void = () => {}): Readable {
  const zip = new ZipFile();
  const out = new PassThrough();
  const fail = (error: unknown) => out.destroy(error as Error);
  zip.on('error', fail);
  let done = 0;
  let current: Readable | null = null;
  out.on('close', () => current?.destroy());
  const options = ({ pack }: Entry) => ({
    mtime: EARLIEST,
    mode: MODE,
    compress: pack,
    forceDosTimestamp: true,
  });
  for (const entry of entries) {
    const { path, content } = entry;
    if (Buffer.isBuffer(content)) {
      zip.addBuffer(content, path, options(entry));
      continue;
    }
    zip.addReadStreamLazy(path, options(entry), (give) => {
      content().then(
        (stream) => {
          // What nobody reads any more has to be let go of.
          if (out.destroyed) return stream.destroy();
          current = stream;
          stream.on('end', () => onEntry(++done));
          give(null, stream);
        },
        (error: unknown) => {
          fail(error);
          give(error, undefined as never);
        },
      );
    });
  }
  zip.end();
  zip.outputStream.on('error', fail);
  zip.outputStream.pipe(out);
  return out;
}
