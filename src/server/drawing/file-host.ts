import PQueue from 'p-queue';
import { filePixelsOf } from '@/core/pixels/file';
import type { Ink } from '@/core/pixels/ink';
import type { Documents } from '@/core/project/documents';
import type { Host } from '@/render/host';
import { read, readInk, type FileBytes, type ToRead } from './read';
import { serverFonts } from '../fonts/fonts';
import { Problem } from '../problem';

/** The files that the pictures of a project name, by their hash. */
export const filesBy = ({ project }: Documents): ReadonlyMap<string, ToRead> =>
  new Map(project.pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions)).map((r) => [r.hash, r]));

interface Kept {
  bytes: FileBytes;
  font: (hash: string) => Buffer;
  /** where the ink of files lies, as far as that was worked out before; `null` for a file without any */
  ink?: ReadonlyMap<string, Ink | null>;
  /** how many files are read at once, 1 when absent */
  atOnce?: number;
}

/** What is found of a file; `null` of one whose bytes are missing. */
async function unlessLost<T>(file: ToRead, answer: (file: ToRead) => Promise<T | null>): Promise<T | null> {
  try {
    return await answer(file);
  } catch (error) {
    if (error instanceof Problem && error.more.lost) return null;
    throw error;
  }
}

/** Goes through files, few at once as each takes much room; one whose bytes are missing has no answer. */
async function each<T>(
  files: ReadonlyMap<string, ToRead>,
  hashes: readonly string[],
  answer: (file: ToRead) => Promise<T | null>,
  atOnce: number,
): Promise<Map<string, T>> {
  const known = hashes.flatMap((hash) => files.get(hash) ?? []);
  const queue = new PQueue({ concurrency: atOnce });
  const found = await queue.addAll(known.map((file) => () => unlessLost(file, answer)));
  return new Map(known.flatMap(({ hash }, i) => (found[i] === null ? [] : [[hash, found[i]!] as const])));
}

/** What a review takes from files that are kept somewhere. */
export function fileHost(documents: Documents, { bytes, font, ink: known, atOnce = 1 }: Kept): Host {
  const files = filesBy(documents);
  return {
    pixels: (hashes) => each(files, hashes, async (file) => filePixelsOf(await read(file, bytes)), atOnce),
    ink: (hashes) =>
      each(
        files,
        hashes,
        (file) => {
          const is = known?.get(file.hash);
          return is === undefined ? readInk(file, bytes) : Promise.resolve(is);
        },
        atOnce,
      ),
    fonts: (hashes) => Promise.resolve(serverFonts(hashes, font)),
  };
}
