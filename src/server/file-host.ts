import { filePixelsOf } from '@/core/pixels/file';
import type { Ink } from '@/core/pixels/ink';
import type { Documents } from '@/core/project/documents';
import type { Host } from '@/render/host';
import { read, readInk, type FileBytes, type ToRead } from './drawing/read';
import { serverFonts } from './fonts/fonts';
import { Problem } from './problem';

/** The files that the pictures of a project name, by their hash. */
export const filesBy = ({ project }: Documents): ReadonlyMap<string, ToRead> =>
  new Map(project.pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions)).map((r) => [r.hash, r]));

interface Kept {
  bytes: FileBytes;
  font: (hash: string) => Buffer;
  /** where the ink of files lies, as far as that was worked out before; `null` for a file without any */
  ink?: ReadonlyMap<string, Ink | null>;
}

/** Goes through files one after another, as each takes much room; one whose bytes are missing has no answer. */
async function each<T>(
  files: ReadonlyMap<string, ToRead>,
  hashes: readonly string[],
  answer: (file: ToRead) => Promise<T | null>,
): Promise<Map<string, T>> {
  const found = new Map<string, T>();
  for (const hash of hashes) {
    const file = files.get(hash);
    if (!file) continue;
    try {
      const is = await answer(file);
      if (is !== null) found.set(hash, is);
    } catch (error) {
      if (!(error instanceof Problem && error.more.lost)) throw error;
    }
  }
  return found;
}

/** What a review takes from files that are kept somewhere. */
export function fileHost(documents: Documents, { bytes, font, ink: known }: Kept): Host {
  const files = filesBy(documents);
  return {
    pixels: (hashes) => each(files, hashes, async (file) => filePixelsOf(await read(file, bytes))),
    ink: (hashes) =>
      each(files, hashes, (file) => {
        const is = known?.get(file.hash);
        return is === undefined ? readInk(file, bytes) : Promise.resolve(is);
      }),
    fonts: (hashes) => Promise.resolve(serverFonts(hashes, font)),
  };
}
