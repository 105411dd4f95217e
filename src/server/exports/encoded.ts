import { sayFileSize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { ENCODED_WORDS, encodedFacts, type BudgetFor, type Encoding } from '@/formats/files/encoding';
import { fileStem } from '@/formats/text/file-name';
import type { OutFile } from '@/formats/files/names';
import type { EncodedFile, ToEncode } from '../drawing/encode';
import { Problem } from '../problem';
import { namedFiles, type FilesToMake } from './files';
import type { Made } from './made';
import type { Bytes } from './page';
import { zipOf } from './zip';

const GROUPS: Record<BudgetFor, (file: OutFile) => string> = {
  file: ({ hash }) => hash,
  picture: ({ pictureId }) => pictureId,
  set: () => '',
};

/** What is encoded anew of files. */
function asked(files: readonly OutFile[], { as, keep }: Encoding): ToEncode {
  const rasters = files.filter((f) => !f.vector);
  const groupOf = GROUPS[keep.by === 'budget' ? keep.for : 'file'];
  const byHash = new Map(rasters.map((f) => [f.hash, { hash: f.hash, group: groupOf(f), about: f.about }]));
  return { files: [...byHash.values()], as, keep };
}

/** What became of the files: how heavy they are, at which qualities, and which is least like what it was. */
function said(
  files: readonly OutFile[],
  encoded: ReadonlyMap<string, EncodedFile>,
  { as }: Encoding,
): string {
  const all = [...encoded.values()];
  const bytes = all.reduce((sum, f) => sum + f.bytes.length, 0);
  const qualities = all.map((f) => f.quality);
  const [low, high] = [Math.min(...qualities), Math.max(...qualities)];
  const worst = all.reduce((a, b) => (b.alike < a.alike ? b : a));
  const about = files.find((f) => f.hash === worst.hash)!.about;
  const quality = low === high ? `quality ${low}` : `qualities ${low} to ${high}`;
  return `${countOf(all.length, 'file')} as ${ENCODED_WORDS[as]}, ${sayFileSize(bytes)}, at ${quality}. Least like what it was: ${about}, structural similarity ${worst.alike.toFixed(3)}.`;
}

/** Files that were encoded anew, under their names. */
export interface EncodedSet {
  files: { path: string; content: Buffer }[];
  said: string;
}

/**
 * All files of the pictures that scenes show, encoded anew; vectors as they are.
 * @param encode has it done
 * @throws Problem 422 for a pattern that cannot be used, a file that cannot be of that type, a budget that cannot be met
 */
export async function encodedFiles(
  { encoding, ...input }: FilesToMake & { encoding: Encoding },
  from: Pick<Bytes, 'original'>,
  encode: (asked: ToEncode) => Promise<EncodedFile[]>,
): Promise<EncodedSet> {
  const files = namedFiles({ ...input, facts: encodedFacts(input.facts, encoding.as) });
  const order = asked(files, encoding);
  if (order.files.length === 0)
    throw new Problem(422, 'All of these files are vectors: there is nothing to encode.');
  const encoded = new Map((await encode(order)).map((f) => [f.hash, f]));
  const out: EncodedSet['files'] = [];
  for (const { path, hash } of files)
    out.push({ path, content: encoded.get(hash)?.bytes ?? (await from.original(hash)) });
  return { files: out, said: said(files, encoded, encoding) };
}

/** The same in a ZIP. @throws as above */
export async function makeEncoded(...how: Parameters<typeof encodedFiles>): Promise<Made> {
  const [{ documents }] = how;
  const { files, said: words } = await encodedFiles(...how);
  const content = zipOf(files.map((f) => ({ ...f, pack: f.path.endsWith('.svg') })));
  const name = `${fileStem(documents.project.name)}-files.zip`;
  return { content, name, mediaType: 'application/zip', said: words };
}
