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

/** Begins each content when the one before it is asked for, so that one is made while another is written; each is taken once. */
function beginningAhead(contents: readonly (() => Promise<Readable>)[]) {
  const begun = new Map<number, Promise<Readable>>();
  const begin = (i: number) => {
    const content = contents[i];
    if (!content || begun.has(i)) return;
    const stream = content();
    // A fault is heard of when it is its turn.
    stream.catch(() => {});
    begun.set(i, stream);
  };
  return {
    take(i: number): Promise<Readable> {
      begin(i);
      begin(i + 1);
      const stream = begun.get(i)!;
      begun.delete(i);
      return stream;
    },
    /** What was begun and nobody takes any more is let go of. */
    end() {
      for (const stream of begun.values())
        stream.then(
          (s) => s.destroy(),
          () => {},
        );
      begun.clear();
    },
  };
}

/**
 * A ZIP that is made while it is read, one file after another, so that no more than two of them lie in memory. A file that
 * cannot be read ends it with that fault.
 * @param onEntry hears how many files are through
 */
export function zipOf(entries: readonly Entry[], onEntry: (done: number) => void = () => {}): Readable {
  const zip = new ZipFile();
  const out = new PassThrough();
  const fail = (error: unknown) => out.destroy(error as Error);
  zip.on('error', fail);
  let done = 0;
  let current: Readable | null = null;
  const lazy = entries.flatMap(({ content }) => (Buffer.isBuffer(content) ? [] : [content]));
  const ahead = beginningAhead(lazy);
  out.on('close', () => {
    current?.destroy();
    ahead.end();
  });
  const options = ({ pack }: Entry) => ({
    mtime: EARLIEST,
    mode: MODE,
    compress: pack,
    forceDosTimestamp: true,
  });
  let next = 0;
  for (const entry of entries) {
    const { path, content } = entry;
    if (Buffer.isBuffer(content)) {
      zip.addBuffer(content, path, options(entry));
      continue;
    }
    const turn = next++;
    zip.addReadStreamLazy(path, options(entry), (give) => {
      // Nobody reads it any more, and nothing more is begun.
      if (out.destroyed) return;
      ahead.take(turn).then(
        (stream) => {
          // What nobody reads any more has to be let go of.
          if (out.destroyed) return stream.destroy();
          current = stream;
          stream.on('end', () => onEntry(++done));
          // Nobody else listens to it.
          stream.on('error', fail);
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
