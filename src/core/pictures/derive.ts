import { z } from 'zod';
import type { Rect } from '../geometry/rect';
import type { Arrived } from './assign';
import { marksWithin } from './cut-frame';
import { Hash, type Cut, type Picture } from './picture';

const share = z.number().min(0).max(1);
const side = z.int().min(1).max(16384);

const room = z.int().min(0).max(16384);

const part = z.object({ x: share, y: share, width: share.positive(), height: share.positive() });

/** What of the master a file keeps beside its pixels. */
export const KEPT_OF_MASTER = ['nothing', 'profile', 'everything'] as const;

/** How a file in another size is made, beside its size. */
const HowSized = z.object({
  /** what is taken of the master, shares of it; all when absent */
  part: part.optional(),
  /** what lies behind what is see-through, which it then is no longer */
  ground: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  /** in sRGB and without anything else when absent */
  keep: z.enum(KEPT_OF_MASTER).default('nothing'),
  /** whether light is averaged, by which fine bright detail keeps its brightness, and not the values that stand for it */
  linear: z.boolean().default(false),
});
export type HowSized = z.input<typeof HowSized>;

/** A file that is made from another: in another size, without the room around it, or with more of it. */
export const Derivation = z.discriminatedUnion('make', [
  z.object({ make: z.literal('size'), hash: Hash, widthPx: side, heightPx: side, ...HowSized.shape }),
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
    part,
    /** see-through, on each side of it, px */
    room: room.default(0),
  }),
]);
export type Derivation = z.infer<typeof Derivation>;
/** The same as it is asked for: what is left out is as usual. */
export type DerivationAsked = z.input<typeof Derivation>;

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
 * The same room on each side of a part of a file.
 * @param share of it, of the longer side of the part, 0 for none
 * @returns px of the room, and the part with it, in shares of the file, which may lie outside of it
 */
export function withEvenRoom(
  part: Rect,
  file: { widthPx: number; heightPx: number },
  share: number,
): { room: number; around: Rect } {
  const px = pxOfPart(part, file);
  const room = Math.round(share * Math.max(px.width, px.height));
  const [x, y] = [room / file.widthPx, room / file.heightPx];
  const around = { x: part.x - x, y: part.y - y, width: part.width + 2 * x, height: part.height + 2 * y };
  return { room, around };
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
  ...marksWithin(cut, part),
});
