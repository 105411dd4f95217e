import type { Rect } from '../geometry/rect';
import { pxOfPart, type DerivationAsked, type HowSized } from './derive';
import { madeFrom } from './master';
import { sameDensity, type Cut, type Picture, type Rendition } from './picture';
import { putInto } from './assign';
import { marksWithin } from './cut-frame';

/** What is made of one master at once. */
export interface MakingAsked {
  master: Rendition;
  /** of the master, shares of it; all of it when absent */
  part?: Rect;
  /** px per lu */
  densities: readonly number[];
  how: Pick<HowSized, 'ground' | 'keep' | 'linear'>;
}

/** One file that is to be made. */
export interface FileToMake {
  density: number;
  widthPx: number;
  heightPx: number;
  /** by which its master is enlarged for it; `null` where it is not */
  enlarged: number | null;
}

/** The files that come of a master, smallest first. A vector is never enlarged. */
export function filesToMake({ master, part, densities }: Omit<MakingAsked, 'how'>): FileToMake[] {
  const px = part ? pxOfPart(part, master) : { width: master.widthPx, height: master.heightPx };
  const taken: Rendition = { ...master, widthPx: px.width, heightPx: px.height };
  return [...densities]
    .toSorted((a, b) => a - b)
    .map((density) => ({
      density,
      ...madeFrom(taken, density),
      enlarged: !master.vector && density > master.density + 1e-6 ? density / master.density : null,
    }));
}

/** A file as the server is asked for it. */
export const derivationOf = (
  { widthPx, heightPx }: FileToMake,
  { master, part, how }: MakingAsked,
): DerivationAsked => ({
  make: 'size',
  hash: master.hash,
  widthPx,
  heightPx,
  ...(part && { part }),
  ...how,
});

/** A picture with files that were made, in a cut of it. One that is new has the marks of the cut that it was taken from. */
export function withMade(
  picture: Picture,
  into: Cut['cut'],
  made: readonly Rendition[],
  from: { cut: Cut; part?: Rect },
): Picture {
  const isNew = !picture.cuts.some((c) => c.cut === into);
  const after = made.reduce((p, rendition) => putInto(p, into, rendition), picture);
  if (!isNew) return after;
  const marks = marksWithin(from.cut, from.part ?? { x: 0, y: 0, width: 1, height: 1 });
  return { ...after, cuts: after.cuts.map((c) => (c.cut === into ? { ...c, ...marks } : c)) };
}

/** Densities that are there already in a cut and appearance, as bitmaps. */
export const densitiesThere = (
  picture: Picture,
  cut: Cut['cut'],
  appearance: Rendition['appearance'],
): number[] =>
  (picture.cuts.find((c) => c.cut === cut)?.renditions ?? [])
    .filter((r) => r.appearance === appearance && !r.vector)
    .map((r) => r.density);

/** Whether a density is in a list of them. */
export const isAmong = (density: number, list: readonly number[]): boolean =>
  list.some((d) => sameDensity(d, density));
