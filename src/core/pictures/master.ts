import { sameDensity, type Cut, type Picture, type Rendition } from './picture';
import type { Appearance } from '../values/values';

/** The files of a cut that are for one appearance. */
export interface FileSet {
  picture: Picture;
  cut: Cut;
  appearance: Appearance;
  files: Rendition[];
}

export function setsOf(picture: Picture): FileSet[] {
  return picture.cuts.flatMap((cut) =>
    (['light', 'dark'] as const).flatMap((appearance) => {
      const files = cut.renditions.filter((r) => r.appearance === appearance);
      return files.length > 0 ? [{ picture, cut, appearance, files }] : [];
    }),
  );
}

/** Pixels of the file of a density that is made from a master. */
export const madeFrom = (master: Rendition, density: number) => ({
  widthPx: Math.max(1, Math.round((master.widthPx * density) / master.density)),
  heightPx: Math.max(1, Math.round((master.heightPx * density) / master.density)),
});

/** Whether a file has the px that another one makes of its density, to a pixel. */
export function agree(a: Rendition, b: Rendition): boolean {
  const [small, large] = a.density <= b.density ? [a, b] : [b, a];
  const asked = madeFrom(large, small.density);
  return Math.abs(small.widthPx - asked.widthPx) <= 1 && Math.abs(small.heightPx - asked.heightPx) <= 1;
}

const byPx = (a: Rendition, b: Rendition) => b.widthPx - a.widthPx;

/** Natural sizes come out whole where files were exported from one drawing. */
const isWhole = ({ widthPx, heightPx, density }: Rendition) =>
  [widthPx, heightPx].every((px) => Math.abs(px / density - Math.round(px / density)) < 1e-6);

/** What a set says about which of its files the others are made from. */
export interface MasterOf {
  /** the largest of the files that most agree with; `null` where all are vectors */
  master: Rendition | null;
  /** where nothing tells which of them is right: the largest of those that agree, of each side */
  doubt: readonly Rendition[];
}

/**
 * The file that the others of a set are made from: the one that somebody has named, else the largest of those on whose
 * size most agree, to a pixel. Where as many say one thing as another, those with a natural size of whole lu are right;
 * where that does not tell either, it is in doubt, and the largest stands for it.
 */
export function masterIn(set: readonly Rendition[]): MasterOf {
  const bitmaps = set.filter((r) => !r.vector).toSorted(byPx);
  const named = bitmaps.find((r) => r.master);
  if (named || bitmaps.length < 2) return { master: named ?? bitmaps[0] ?? null, doubt: [] };
  // Each file with those that agree with it; what was made from a master says nothing of its own.
  const own = bitmaps.filter((r) => !bitmaps.some((m) => m !== r && m.hash === r.madeFrom));
  const sides = own.map((r) => own.filter((o) => agree(r, o)));
  const most = Math.max(...sides.map((s) => s.length));
  const largest = own.filter((r, i) => sides[i]!.length === most && sides[i]![0] === r);
  const whole = largest.filter(isWhole);
  const right = whole.length > 0 ? whole : largest;
  return { master: right[0]!, doubt: right.length > 1 ? right : [] };
}

/** The bitmap from which the others are made. */
export const masterOfSet = (set: readonly Rendition[]): Rendition | null => masterIn(set).master;

/** A picture in which one file is named as the one that the others of its set are made from. */
export const withMaster = (
  picture: Picture,
  { cut, appearance }: Pick<FileSet, 'cut' | 'appearance'>,
  density: number,
): Picture => ({
  ...picture,
  cuts: picture.cuts.map((c) =>
    c.cut !== cut.cut
      ? c
      : {
          ...c,
          renditions: c.renditions.map((r) => {
            if (r.appearance !== appearance) return r;
            const { master: _, ...rest } = r;
            return sameDensity(r.density, density) && !r.vector ? { ...rest, master: true } : rest;
          }),
        },
  ),
});

/** As many whole-number screens and their files go; the other family takes any of them. */
export const USUAL_DENSITIES: readonly number[] = [1, 2, 3];
