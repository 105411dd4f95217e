import { z } from 'zod';
import type { Rect } from '../geometry/rect';
import { areaWithin } from './areas';
import type { Arrived } from './assign';
import { Hash, type Cut, type Picture } from './picture';

const share = z.number().min(0).max(1);
const side = z.int().min(1).max(16384);

const room = z.int().min(0).max(16384);

/** A file that is made from another: in another size, without the room around it, or with more of it. */
export const Derivation = z.discriminatedUnion('make', [
  z.object({ make: z.literal('size'), hash: Hash, widthPx: side, heightPx: side }),
  z.object({
    make: z.literal('room'),
    hash: Hash,
    /** of the drawing, px */
    widthPx: side,
    heightPx: side,
    /** see-through, around it, px */
    left: room,
    right: room,
    top: room,
    bottom: room,
  }),
  z.object({
    make: z.literal('trim'),
    hash: Hash,
    /** what is kept, shares of the file */
    part: z.object({ x: share, y: share, width: share.positive(), height: share.positive() }),
  }),
]);
export type Derivation = z.infer<typeof Derivation>;

/** The whole px of a file that a part of it takes, nothing of it cut. */
export function pxOfPart(part: Rect, file: { widthPx: number; heightPx: number }): Rect {
  // The last bit of a product takes no further pixel.
  const along = (start: number, length: number, px: number) => {
    // A part that begins where the file ends still has its last pixel.
    const from = Math.min(px - 1, Math.max(0, Math.floor(start * px + 1e-6)));
    return { from, to: Math.min(px, Math.ceil((start + length) * px - 1e-6)) };
  };
  const x = along(part.x, part.width, file.widthPx);
  const y = along(part.y, part.height, file.heightPx);
  return { x: x.from, y: y.from, width: Math.max(1, x.to - x.from), height: Math.max(1, y.to - y.from) };
}

/**
 * A picture whose files are trimmed, each cut to its own part: keep areas and focal points stay where they are on the
 * drawing.
 * @param files what each file became, by the hash it had
 */
export function trimmed(
  picture: Picture,
  parts: ReadonlyMap<Cut['cut'], Rect>,
  files: ReadonlyMap<string, Arrived['file']>,
): Picture {
  return {
    ...picture,
    cuts: picture.cuts.map((cut) => {
      const part = parts.get(cut.cut);
      return part ? trimmedCut(cut, part, files) : cut;
    }),
  };
}

const trimmedCut = (cut: Cut, part: Rect, files: ReadonlyMap<string, Arrived['file']>): Cut => ({
  ...cut,
  renditions: cut.renditions.map((r) => {
    const file = files.get(r.hash);
    return file ? { ...file, density: r.density, appearance: r.appearance } : r;
  }),
  keepAreas: cut.keepAreas.map((k) => ({ ...k, rect: areaWithin(k.rect, part) })),
  focalPoint: {
    x: Math.min(1, Math.max(0, (cut.focalPoint.x - part.x) / part.width)),
    y: Math.min(1, Math.max(0, (cut.focalPoint.y - part.y) / part.height)),
  },
});
