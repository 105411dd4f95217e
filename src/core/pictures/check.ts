import { paddingOf, type Ink } from '../pixels/ink';
import type { Appearance } from '../values/values';
import { sayDensity } from '../words/numbers';
import { agree, madeFrom, masterIn, masterOfSet, setsOf, type FileSet } from './master';
import { sameDensity, type Cut, type Picture, type Rendition } from './picture';

/** What can be wrong with the files of a picture. */
export type FileRule =
  | 'missing'
  | 'uneven'
  | 'undecided'
  | 'too-small'
  | 'too-heavy'
  | 'wrong-profile'
  | 'missing-dark'
  | 'padding';

export interface FileFinding {
  rule: FileRule;
  pictureId: string;
  cut: Cut['cut'];
  /** `null` where it is of both */
  appearance: Appearance | null;
  /** `null` where it is of all densities */
  density: number | null;
  text: string;
}

/** How many pixels a picture is asked for, and where: width and height each by the case that asks for most of it. */
export interface Needed {
  cut: Cut['cut'];
  appearance: Appearance;
  widthPx: number;
  heightPx: number;
  /** the case that asks for the width */
  caseId: string;
  /** the case that asks for the height: the same one, unless the picture is stretched */
  heightCaseId: string;
}

export interface CheckInput {
  pictures: readonly Picture[];
  /** the densities that a picture with several files should have, px per lu */
  densities: readonly number[];
  /** by picture; a picture that no scene shows is not in it */
  needed: ReadonlyMap<string, readonly Needed[]>;
  /** where the ink of files lies, by their hash, as far as it is known */
  ink: ReadonlyMap<string, Ink>;
}

/** As many whole-number screens and their files go; the other family takes any of them. */
export const USUAL_DENSITIES: readonly number[] = [1, 2, 3];

/** A file of more bytes than this, and more for each pixel than that, is worth encoding again. */
const HEAVY_BYTES = 300_000;
const HEAVY_PER_PX = 2;

const sayPx = (s: { widthPx: number; heightPx: number }) => `${s.widthPx} × ${s.heightPx} px`;
const sayBytes = (bytes: number) => `${Math.round(bytes / 100_000) / 10} MB`;

const finding = (
  { picture, cut, appearance }: FileSet,
  rule: FileRule,
  density: number | null,
  text: string,
): FileFinding => ({
  rule,
  pictureId: picture.id,
  cut: cut.cut,
  appearance,
  density,
  text,
});

/** A picture with one file has a master and nothing else; with several it should have each density. */
function missing(set: FileSet, densities: readonly number[]): FileFinding[] {
  const bitmaps = set.files.filter((r) => !r.vector);
  const master = masterOfSet(set.files);
  if (!master || bitmaps.length < 2 || set.files.some((r) => r.vector)) return [];
  return densities
    .filter((d) => !bitmaps.some((r) => sameDensity(r.density, d)))
    .map((d) =>
      finding(
        set,
        'missing',
        d,
        `There is no ${sayDensity(d)}x file; made from the master it has ${sayPx(madeFrom(master, d))}.`,
      ),
    );
}

const sayFile = (r: Rendition) => `the ${sayDensity(r.density)}x file has ${sayPx(r)}`;

/** Files whose px do not go with those of the master. Where nobody can tell which is right, it is asked. */
function uneven(set: FileSet): FileFinding[] {
  const { master, doubt } = masterIn(set.files);
  if (!master) return [];
  if (doubt.length > 0) {
    const text = `The files do not go together: ${doubt.map(sayFile).join(', ')}. Say which of them is right.`;
    return [finding(set, 'undecided', null, text)];
  }
  return set.files
    .filter((r) => !r.vector && r !== master && !agree(r, master))
    .map((r) => {
      const text = `The ${sayDensity(r.density)}x file has ${sayPx(r)}; as ${sayFile(master)}, it should have ${sayPx(madeFrom(master, r.density))}.`;
      return finding(set, 'uneven', r.density, text);
    });
}

/** The largest file of a set, where the scenes draw it larger still; `null` where it is enough. */
function shortOf(set: FileSet, needed: readonly Needed[]): { master: Rendition; asked: Needed } | null {
  const master = masterOfSet(set.files);
  const asked = needed.find((n) => n.cut === set.cut.cut && n.appearance === set.appearance);
  if (!master || !asked || set.files.some((r) => r.vector)) return null;
  return asked.widthPx > master.widthPx || asked.heightPx > master.heightPx ? { master, asked } : null;
}

/** Light and dark files that are both too small are one finding, because they are made together. */
function tooSmall(picture: Picture, needed: readonly Needed[]): FileFinding[] {
  const short = setsOf(picture).flatMap((set) => {
    const found = shortOf(set, needed);
    return found ? [{ set, ...found }] : [];
  });
  return picture.cuts.flatMap((cut) => {
    const here = short.filter(({ set }) => set.cut === cut);
    const [first] = here.toSorted((a, b) => b.asked.widthPx - a.asked.widthPx);
    if (!first) return [];
    const { set, master, asked } = first;
    const text = `The largest file has ${sayPx(master)}; the scenes draw up to ${sayPx(asked)}.`;
    return [
      { ...finding(set, 'too-small', master.density, text), ...(here.length > 1 && { appearance: null }) },
    ];
  });
}

function tooHeavy(set: FileSet): FileFinding[] {
  return set.files.flatMap((r) => {
    const { bytes = 0 } = r;
    if (r.vector || bytes < HEAVY_BYTES || bytes / (r.widthPx * r.heightPx) < HEAVY_PER_PX) return [];
    const each = Math.round((bytes / (r.widthPx * r.heightPx)) * 10) / 10;
    const text = `The ${sayDensity(r.density)}x file takes ${sayBytes(bytes)}, ${each} bytes a pixel; encoded well it takes less than ${HEAVY_PER_PX}.`;
    return [finding(set, 'too-heavy', r.density, text)];
  });
}

const wrongProfile = (set: FileSet): FileFinding[] =>
  set.files
    .filter((r) => r.profile !== undefined)
    .map((r) =>
      finding(
        set,
        'wrong-profile',
        r.density,
        `The ${sayDensity(r.density)}x file is in ${r.profile}, not in sRGB: its colours change where profiles are not read.`,
      ),
    );

/** Sides that differ by more than this share of the file put what is seen visibly off its middle. */
const MOST_UNEVEN = 0.02;

const sayShare = (share: number) => `${Math.round(share * 1000) / 10} %`;

/** Room around the ink that is not alike on opposite sides: what is centred by the file is not centred to the eye. */
function padding(set: FileSet, ink: ReadonlyMap<string, Ink>): FileFinding[] {
  const master = masterOfSet(set.files) ?? set.files[0];
  const found = master && ink.get(master.hash);
  if (!found || found.by !== 'alpha') return [];
  const { left, right, top, bottom } = paddingOf(found);
  const across = Math.abs(left - right);
  const down = Math.abs(top - bottom);
  if (Math.max(across, down) <= MOST_UNEVEN) return [];
  const off = [
    across > MOST_UNEVEN && `${sayShare(across / 2)} too far ${left > right ? 'right' : 'left'}`,
    down > MOST_UNEVEN && `${sayShare(down / 2)} too far ${top > bottom ? 'down' : 'up'}`,
  ].filter(Boolean);
  const text = `The room around it is uneven: left ${sayShare(left)}, right ${sayShare(right)}, top ${sayShare(top)}, bottom ${sayShare(bottom)}. Centred by its file it lies ${off.join(' and ')}, of the file.`;
  return [finding(set, 'padding', null, text)];
}

const hasDark = (cut: Cut) => cut.renditions.some((r) => r.appearance === 'dark');

/** Dark files are expected of every picture once most of them have some. */
function missingDark(pictures: readonly Picture[]): FileFinding[] {
  const cuts = pictures.flatMap((picture) => picture.cuts.map((cut) => ({ picture, cut })));
  const dark = cuts.filter(({ cut }) => hasDark(cut)).length;
  if (dark * 2 <= cuts.length) return [];
  return cuts
    .filter(({ cut }) => !hasDark(cut))
    .map(({ picture, cut }) =>
      finding(
        { picture, cut, appearance: 'dark', files: [] },
        'missing-dark',
        null,
        'There is no dark file, as most pictures have: in the dark its light one is shown.',
      ),
    );
}

/** Files whose px contradict each other, and nothing else that may be wrong with them. */
export const unevenFiles = (pictures: readonly Picture[]): FileFinding[] =>
  pictures.flatMap((p) => setsOf(p).flatMap(uneven));

/** What is missing, uneven, too small, too heavy, in a wrong profile, only light, or off its middle; each once. */
export function checkFiles({ pictures, densities, needed, ink }: CheckInput): FileFinding[] {
  const ofPictures = pictures.flatMap((picture) => [
    ...tooSmall(picture, needed.get(picture.id) ?? []),
    ...setsOf(picture).flatMap((set) => [
      ...missing(set, densities),
      ...uneven(set),
      ...tooHeavy(set),
      ...wrongProfile(set),
      ...padding(set, ink),
    ]),
  ]);
  return [...ofPictures, ...missingDark(pictures)];
}
