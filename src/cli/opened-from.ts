import { Readable } from 'node:stream';
import { previewWithin } from '@/core/pictures/previews';
import { MOST_READ_PIXELS } from '@/core/pixels/file';
import { MOST_LOOKED_AT } from '@/core/pixels/statistics';
import type { Documents } from '@/core/project/documents';
import type { FileFacts } from '@/formats/files/names';
import { hashesOf, type ReadFolder } from '@/formats/folder';
import { screensOf } from '@/server/catalogue';
import { pyramid } from '@/server/drawing/examine';
import type { FileBytes, ToRead } from '@/server/drawing/read';
import { fileHost, filesBy } from '@/server/drawing/file-host';
import { fontTypeOf } from '@/server/importing/font';
import { sniff } from '@/server/pictures/sniff';
import type { Opened } from './opened';

/** Previews are made from the files when they are asked for: those that a review reads, all of a file at once. */
function bytesFrom(original: FileBytes['original'], files: ReadonlyMap<string, ToRead>): FileBytes {
  const made = new Map<string, Map<number, Buffer>>();
  const preview: FileBytes['preview'] = async (hash, widthPx) => {
    const known = made.get(hash);
    if (known) return known.get(widthPx)!;
    const file = files.get(hash)!;
    const wanted = [MOST_READ_PIXELS, MOST_LOOKED_AT].map((most) => previewWithin(file, most));
    const { previews } = await pyramid(await original(hash), file, (w) => wanted.includes(w));
    const own = new Map(previews.map((p) => [p.widthPx, p.bytes]));
    made.set(hash, own);
    return own.get(widthPx)!;
  };
  return { original, preview };
}

/** Of which type and how large the files are: what they are is in their first bytes. */
async function factsOf(hashes: readonly string[], original: FileBytes['original']): Promise<FileFacts> {
  const facts: FileFacts = {};
  for (const hash of hashes) {
    const bytes = await original(hash);
    const type = (await sniff(bytes)) ?? fontTypeOf(bytes)?.replace('font/', '') ?? 'bin';
    facts[hash] = { type, bytes: bytes.length };
  }
  return facts;
}

/** Nobody else waits for this process. */
const AT_ONCE = 3;

/** From where the files of a project are read, by their hash. */
interface Files {
  read: (hash: string) => Promise<Buffer>;
  /** of a font, for what cannot wait */
  font: (hash: string) => Buffer;
  close: () => void;
}

/** A project that lies outside a store. */
export function openedFrom(
  { documents, revision, signOffs }: Omit<ReadFolder, 'places'>,
  { read, font, close }: Files,
): Opened {
  const hostOf = (of: Documents) =>
    fileHost(of, { bytes: bytesFrom(read, filesBy(of)), font, atOnce: AT_ONCE });
  return {
    documents,
    revision,
    screens: screensOf(documents.project),
    host: hostOf(documents),
    hostOf,
    signOffs,
    bytes: { original: read, open: async (hash) => Readable.from([await read(hash)]), font },
    facts: () => factsOf(hashesOf(documents, signOffs), read),
    close,
  };
}
