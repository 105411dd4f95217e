import type { Rect } from '@/core/geometry/rect';
import { cutFrame } from '@/core/pictures/cut-frame';
import { KEPT_OF_MASTER, type HowSized } from '@/core/pictures/derive';
import { densitiesThere, isAmong } from '@/core/pictures/making';
import { masterOfSet, type FileSet } from '@/core/pictures/master';
import type { Cut, Rendition } from '@/core/pictures/picture';

/** What somebody has chosen to have made. */
export interface Asking {
  /** number of the set whose master is taken */
  set: number;
  into: Cut['cut'];
  /** width : height of a cut that is new */
  ratio: { width: number; height: number };
  frame: Rect;
  densities: readonly number[];
  /** a colour as `#rrggbb`; nothing where it stays see-through */
  ground: string | null;
  keep: NonNullable<HowSized['keep']>;
  linear: boolean;
}

/** What each way to keep something of the master is called. */
export const KEEP_WORDS: Record<(typeof KEPT_OF_MASTER)[number], string> = {
  nothing: 'nothing: sRGB, no metadata',
  profile: 'its colour profile',
  everything: 'profile and metadata',
};

/** A screen in the hand, about as many are; turned for a wide cut. */
const USUAL_RATIO = { width: 9, height: 20 };
const turned = ({ width, height }: Asking['ratio']) => ({ width: height, height: width });

/** The file of a set that others are made from: its vector, or its master. */
export const sourceOf = ({ files }: FileSet): Rendition =>
  files.find((r) => r.vector) ?? masterOfSet(files) ?? files[0]!;

const frameFor = (set: FileSet, { width, height }: Asking['ratio']): Rect => {
  const master = sourceOf(set);
  return cutFrame({ width: master.widthPx, height: master.heightPx }, width / height, set.cut);
};

/** Of the densities that are wanted those that can be made without enlarging and are not there; all of these where none is missing. */
function missingIn(set: FileSet, into: Cut['cut'], wanted: readonly number[]): number[] {
  const source = sourceOf(set);
  const there = densitiesThere(set.picture, into, set.appearance);
  const possible = wanted.filter((d) => source.vector || d <= source.density + 1e-6);
  const missing = possible.filter((d) => !isAmong(d, there));
  return missing.length > 0 ? missing : possible;
}

/** What is made where nothing else is said: the densities that are missing beside the master. */
export function firstAsking(sets: readonly FileSet[], wanted: readonly number[]): Asking {
  const [set] = sets;
  const source = sourceOf(set!);
  return {
    set: 0,
    into: set!.cut.cut,
    ratio: USUAL_RATIO,
    frame: frameFor(set!, USUAL_RATIO),
    densities: missingIn(set!, set!.cut.cut, wanted),
    ground: null,
    keep: 'nothing',
    linear: source.transparent === false && !source.vector,
  };
}

/** The same for another cut, with a frame that shows what has to be seen. */
export function intoCut(asking: Asking, into: Cut['cut'], set: FileSet, wanted: readonly number[]): Asking {
  const isWide = asking.ratio.width > asking.ratio.height;
  const ratio = (into === 'landscape') === isWide ? asking.ratio : turned(asking.ratio);
  const densities = missingIn(set, into, wanted);
  return { ...asking, into, ratio, densities, frame: frameFor(set, ratio) };
}

/** The same with another ratio of the frame. */
export const withRatio = (asking: Asking, ratio: Asking['ratio'], set: FileSet): Asking => ({
  ...asking,
  ratio,
  frame: frameFor(set, ratio),
});

/** Whether a part is taken of the master: a cut that is not its own has a frame. */
export const hasFrame = ({ into }: Pick<Asking, 'into'>, set: FileSet): boolean =>
  into !== 'any' && into !== set.cut.cut;
