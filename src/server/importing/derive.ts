import { eq } from 'drizzle-orm';
import type { KeptFile } from '@/core/pictures/kept-file';
import { Derivation, pxOfPart, type DerivationAsked } from '@/core/pictures/derive';
import { LONGEST_WEBP } from '@/core/pictures/previews';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { notFound, Problem } from '../problem';
import { INPUT_LIMITS } from '../settings';
import { keepFile } from './picture';

/** Of the file that is made, px. */
function sizeOf(asked: Derivation, file: KeptFile): { width: number; height: number } {
  if (asked.make === 'trim') {
    const { width, height } = pxOfPart(asked.part, file);
    return { width: width + 2 * asked.room, height: height + 2 * asked.room };
  }
  const { left, right, top, bottom } =
    asked.make === 'room' ? asked : { left: 0, right: 0, top: 0, bottom: 0 };
  return { width: asked.widthPx + left + right, height: asked.heightPx + top + bottom };
}

/** @throws Problem 422 for a vector that is to be trimmed, more px than a picture may have, or than its format takes */
function refuse(asked: Derivation, file: KeptFile): void {
  if (asked.make === 'trim' && file.vector)
    throw new Problem(422, 'A vector is trimmed in the program that it was drawn in.');
  const { width, height } = sizeOf(asked, file);
  if (width * height > INPUT_LIMITS.picturePixels)
    throw new Problem(422, `${width} × ${height} px are too many.`);
  if (file.type === 'webp' && Math.max(width, height) > LONGEST_WEBP)
    throw new Problem(
      422,
      `${width} × ${height} px are too many for a WebP, which has at most ${LONGEST_WEBP} px a side. Make it smaller, or import it as a PNG.`,
    );
}

/**
 * Makes a file from one that is kept, and keeps it.
 * @throws Problem 404 when the file is not kept, 422 for a size out of range or a vector that is to be trimmed
 */
export async function deriveFile(wanted: DerivationAsked, asker: For = { project: '' }): Promise<KeptFile> {
  const asked = Derivation.parse(wanted);
  const file = getDb().select().from(blobs).where(eq(blobs.hash, asked.hash)).get();
  if (!file) throw notFound('This file');
  refuse(asked, file);
  const { width, height } = sizeOf(asked, file);
  const bytes = await drawn(
    {
      kind: 'make',
      input: { asked, file },
      cost: Math.max(width * height, file.widthPx * file.heightPx),
      deadlineMs: file.vector ? DRAWING.deadlineMs : DRAWING.decodeMs,
      name: 'The file',
    },
    asker,
  );
  return keepFile(Buffer.from(bytes), 'a file made from another', asker);
}
