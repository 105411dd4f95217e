import type { Encoding, EncodedFileSaid } from '@/formats/files/encoding';
import { pngAddress } from '../pictures/difference';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { Problem } from '../problem';
import { rowOf } from './pictures';

/**
 * What becomes of one file that is encoded anew, with the part of it that differs most.
 * @throws Problem 404 for a file that is not kept, 422 for a vector, and as encoding does
 */
export async function compareEncoded(
  { hash, encoding }: { hash: string; encoding: Encoding },
  asker: For,
): Promise<EncodedFileSaid> {
  const file = rowOf(hash);
  if (file.vector) throw new Problem(422, 'A vector stays as it is: there is nothing to encode.');
  const { picture, ...said } = await drawn(
    {
      kind: 'compare',
      input: { hash, about: 'The file', encoding },
      cost: file.widthPx * file.heightPx,
      deadlineMs: DRAWING.decodeMs,
      name: 'The encoding of this file',
    },
    asker,
  );
  return { ...said, picture: pngAddress(picture) };
}
