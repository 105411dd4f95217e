import type { Arrived } from './assign';
import { madeFrom, setsOf, type FileSet } from './master';
import { sameDensity, type Picture, type Rendition } from './picture';

/** What of a picture a new file takes the place of: one file, or that and all others that are for the same cut and appearance. */
export type ReplaceWhich = 'all' | 'one';

type Own = Pick<Rendition, 'appearance' | 'density' | 'vector'>;
/** The place of a file within its picture. */
export type Slot = Own & { cut: FileSet['cut']['cut'] };

export const slotsOf = (picture: Picture): (Slot & { file: Rendition })[] =>
  setsOf(picture).flatMap(({ cut, appearance, files }) =>
    files.map((file) => ({ cut: cut.cut, appearance, density: file.density, vector: file.vector, file })),
  );

/** Whether a file lies at a place, whatever the cut. */
const isAt = (slot: Own) => (r: Own) =>
  r.appearance === slot.appearance && r.vector === slot.vector && sameDensity(r.density, slot.density);

/** The files beside one that are for the same cut and appearance. */
export const besides = (picture: Picture, slot: Slot): Rendition[] =>
  slotsOf(picture)
    .filter((s) => s.cut === slot.cut && s.appearance === slot.appearance && !isAt(slot)(s.file))
    .map((s) => s.file);

/** Where a new file goes so that all others are made from it: in the place of the densest. */
export function slotForAll(picture: Picture, slot: Slot): Slot {
  const set = slotsOf(picture).filter((s) => s.cut === slot.cut && s.appearance === slot.appearance);
  const densest = set.filter((s) => !s.vector).toSorted((a, b) => b.density - a.density)[0];
  return densest ? { ...slot, density: densest.density, vector: false } : slot;
}
const isSame = (a: Slot, b: Slot) => a.cut === b.cut && isAt(b)(a);

/** A file that is made from the new one, px. */
export interface FileToMake {
  density: number;
  widthPx: number;
  heightPx: number;
}

/** What has to be made of a new file to replace all others with it. A vector fits every density by itself. */
export function toMake(picture: Picture, slot: Slot, file: Arrived['file']): FileToMake[] {
  if (file.vector) return [];
  const at = slotForAll(picture, slot);
  const master: Rendition = { ...file, appearance: at.appearance, density: at.density };
  const densities = [...besides(picture, at)].filter((r) => !r.vector).map((r) => r.density);
  return [...new Set(densities)].map((density) => ({ density, ...madeFrom(master, density) }));
}

/** A file in the place of one other; its density, its appearance and everything else stay. */
export function withOneReplaced(picture: Picture, slot: Slot, file: Arrived['file']): Picture {
  const { appearance, density } = slot;
  const taken = ({ master }: Rendition): Rendition => ({
    ...file,
    appearance,
    density,
    ...(master && { master }),
  });
  return inCut(picture, slot, (files) => files.map((r) => (isAt(slot)(r) ? taken(r) : r)));
}

/** A file and those that are made from it in the place of all that are for the same cut and appearance. */
export function withAllReplaced(
  picture: Picture,
  slot: Slot,
  file: Arrived['file'],
  made: readonly { density: number; file: Arrived['file'] }[],
): Picture {
  const { appearance } = slot;
  const density = file.vector ? 1 : slotForAll(picture, slot).density;
  const others = made.map((m): Rendition => ({
    ...m.file,
    appearance,
    density: m.density,
    madeFrom: file.hash,
  }));
  const taken = [...others, { ...file, appearance, density }].toSorted((a, b) => a.density - b.density);
  return inCut(picture, slot, (files) => [...files.filter((r) => r.appearance !== appearance), ...taken]);
}

const inCut = (picture: Picture, { cut }: Slot, change: (files: Rendition[]) => Rendition[]): Picture => ({
  ...picture,
  cuts: picture.cuts.map((c) => (c.cut === cut ? { ...c, renditions: change(c.renditions) } : c)),
});

/** The files that stay as they are. */
export const staying = (before: Picture, after: Picture): ReturnType<typeof slotsOf> => {
  const now = slotsOf(after);
  return slotsOf(before).filter((s) => now.some((n) => isSame(n, s) && n.file.hash === s.file.hash));
};
