import { paddingOf, type Ink } from '../pixels/ink';
import type { Appearance } from '../values/values';
import { sayDensity } from '../words/numbers';
import type { Finding } from '../findings/finding';
import { isWorse } from '../measure/accept';
import { gravestBreach } from '../measure/judge';
import { fileBounds, fileWord, type FileAcceptance, type FileRule } from '../project/file-limits';
import type { Needed } from '../survey/needed';
import { agree, madeFrom, masterIn, masterOfSet, setsOf, type FileSet } from '../pictures/master';
import { UNPROFILED_CMYK } from '../pictures/kept-file';
import { sameDensity, type Cut, type Picture, type Rendition } from '../pictures/picture';

/** One thing that is wrong with files of a picture; it holds on no case in particular. */
export interface FileFinding extends Finding {
  source: 'files';
  rule: FileRule;
  measure: FileRule;
  file: {
    cut: Cut['cut'];
    /** `null` where it is of both */
    appearance: Appearance | null;
    /** `null` where it is of all densities */
    density: number | null;
  };
}

export interface CheckInput {
  pictures: readonly Picture[];
  /** the densities that a picture with several files should have, px per lu */
  densities: readonly number[];
  /** by picture; a picture that no scene shows is not in it */
  needed: ReadonlyMap<string, readonly Needed[]>;
  /** where the ink of files lies, by their hash, as far as it is known */
  ink: ReadonlyMap<string, Ink>;
  /** what somebody takes as it is */
  accepted?: readonly FileAcceptance[];
}

/** A file of fewer bytes is not worth encoding again. */
const HEAVY_BYTES = 300_000;

const sayPx = (s: { widthPx: number; heightPx: number }) => `${s.widthPx} × ${s.heightPx} px`;
const sayBytes = (bytes: number) => `${Math.round(bytes / 100_000) / 10} MB`;

interface Fault {
  rule: FileRule;
  of: Picture;
  file: FileFinding['file'];
  value: number;
  said: string;
}

/** @param value of what is there or is not, 1 */
const fault = (
  { picture, cut, appearance }: FileSet,
  rule: FileRule,
  density: number | null,
  said: string,
  value = 1,
): Fault => ({ rule, of: picture, file: { cut: cut.cut, appearance, density }, value, said });

/** A picture with one file has a master and nothing else; with several it should have each density. */
function missing(set: FileSet, densities: readonly number[]): Fault[] {
  const bitmaps = set.files.filter((r) => !r.vector);
  const master = masterOfSet(set.files);
  if (!master || bitmaps.length < 2 || set.files.some((r) => r.vector)) return [];
  return densities
    .filter((d) => !bitmaps.some((r) => sameDensity(r.density, d)))
    .map((d) =>
      fault(
        set,
        'missing',
        d,
        `There is no ${sayDensity(d)}x file; made from the master it has ${sayPx(madeFrom(master, d))}.`,
      ),
    );
}

const sayOne = (r: Rendition) => `the ${sayDensity(r.density)}x file has ${sayPx(r)}`;

/** Files whose px do not go with those of the master. Where nobody can tell which is right, it is asked. */
function uneven(set: FileSet): Fault[] {
  const { master, doubt } = masterIn(set.files);
  if (!master) return [];
  if (doubt.length > 0) {
    const text = `The files do not go together: ${doubt.map(sayOne).join(', ')}. Say which of them is right.`;
    return [fault(set, 'undecided', null, text)];
  }
  return set.files
    .filter((r) => !r.vector && r !== master && !agree(r, master))
    .map((r) => {
      const text = `The ${sayDensity(r.density)}x file has ${sayPx(r)}; as ${sayOne(master)}, it should have ${sayPx(madeFrom(master, r.density))}.`;
      return fault(set, 'uneven', r.density, text);
    });
}

/** The largest file of a set, where the scenes draw it larger still; `null` where it is enough. */
function shortOf(
  set: FileSet,
  needed: readonly Needed[],
): { master: Rendition; asked: Needed; times: number } | null {
  const master = masterOfSet(set.files);
  const asked = needed.find((n) => n.cut === set.cut.cut && n.appearance === set.appearance);
  if (!master || !asked || set.files.some((r) => r.vector)) return null;
  const times = Math.max(asked.widthPx / master.widthPx, asked.heightPx / master.heightPx);
  return times > 1 ? { master, asked, times } : null;
}

/** Light and dark files that are both too small are one finding, because they are made together. */
function tooSmall(picture: Picture, needed: readonly Needed[]): Fault[] {
  const short = setsOf(picture).flatMap((set) => {
    const found = shortOf(set, needed);
    return found ? [{ set, ...found }] : [];
  });
  return picture.cuts.flatMap((cut) => {
    const here = short.filter(({ set }) => set.cut === cut);
    const [first] = here.toSorted((a, b) => b.asked.widthPx - a.asked.widthPx);
    if (!first) return [];
    const { set, master, asked, times } = first;
    const found = fault(set, 'too-small', master.density, '', times);
    const said = `The largest file has ${sayPx(master)}; the scenes draw up to ${sayPx(asked)}.`;
    const file = here.length > 1 ? { ...found.file, appearance: null } : found.file;
    return [{ ...found, file, said }];
  });
}

function tooHeavy(set: FileSet): Fault[] {
  return set.files.flatMap((r) => {
    const { bytes = 0 } = r;
    if (r.vector || bytes < HEAVY_BYTES) return [];
    const each = bytes / (r.widthPx * r.heightPx);
    const text = `The ${sayDensity(r.density)}x file takes ${sayBytes(bytes)}, ${Math.round(each * 10) / 10} bytes a pixel; encoded well it takes less than ${fileBounds('too-heavy').max}.`;
    return [fault(set, 'too-heavy', r.density, text, each)];
  });
}

const sayProfile = (profile: string) =>
  profile === UNPROFILED_CMYK
    ? 'in CMYK without a profile: its colours here are a guess, as each program turns them into RGB in a way of its own. Export it in sRGB.'
    : `in ${profile}, not in sRGB: its colours change where profiles are not read.`;

const wrongProfile = (set: FileSet): Fault[] =>
  set.files
    .filter((r) => r.profile !== undefined)
    .map((r) =>
      fault(
        set,
        'wrong-profile',
        r.density,
        `The ${sayDensity(r.density)}x file is ${sayProfile(r.profile!)}`,
      ),
    );

/** A WebP that its EXIF turns stands otherwise in the app than it is drawn here. */
const turned = (set: FileSet): Fault[] =>
  set.files
    .filter((r) => r.turned)
    .map((r) =>
      fault(
        set,
        'turned',
        r.density,
        `The ${sayDensity(r.density)}x file is a WebP that its EXIF turns. It is drawn turned here; browsers and most apps draw it as its pixels lie. Save it as it should stand.`,
      ),
    );

const sayShare = (share: number) => `${Math.round(share * 1000) / 10} %`;

/** Room around the ink that is not alike on opposite sides: what is centred by the file is not centred to the eye. */
function padding(set: FileSet, ink: ReadonlyMap<string, Ink>): Fault[] {
  const master = masterOfSet(set.files) ?? set.files[0];
  const found = master && ink.get(master.hash);
  if (!found || found.by !== 'alpha') return [];
  const { left, right, top, bottom } = paddingOf(found);
  const across = Math.abs(left - right);
  const down = Math.abs(top - bottom);
  const most = fileBounds('padding').max;
  const off = [
    across > most && `${sayShare(across / 2)} too far ${left > right ? 'right' : 'left'}`,
    down > most && `${sayShare(down / 2)} too far ${top > bottom ? 'down' : 'up'}`,
  ].filter(Boolean);
  const text = `The room around it is uneven: left ${sayShare(left)}, right ${sayShare(right)}, top ${sayShare(top)}, bottom ${sayShare(bottom)}. Centred by its file it lies ${off.join(' and ')}, of the file.`;
  return [fault(set, 'padding', null, text, Math.max(across, down))];
}

const hasDark = (cut: Cut) => cut.renditions.some((r) => r.appearance === 'dark');

/** Dark files are expected of every picture once most of them have some. */
function missingDark(pictures: readonly Picture[]): Fault[] {
  const cuts = pictures.flatMap((picture) => picture.cuts.map((cut) => ({ picture, cut })));
  const dark = cuts.filter(({ cut }) => hasDark(cut)).length;
  if (dark * 2 <= cuts.length) return [];
  return cuts
    .filter(({ cut }) => !hasDark(cut))
    .map(({ picture, cut }) =>
      fault(
        { picture, cut, appearance: 'dark', files: [] },
        'missing-dark',
        null,
        'There is no dark file, as most pictures have: in the dark its light one is shown.',
      ),
    );
}

/** A finding on files, as it is told from the others of its picture. */
const aboutOf = ({ cut, appearance, density }: FileFinding['file']) =>
  [cut, appearance ?? 'both', density === null ? 'all' : `${sayDensity(density)}x`].join(' ');

/** “portrait, dark, 2x”; nothing for all files of a picture of one cut. */
function sayFile({ cut, appearance, density }: FileFinding['file']): string {
  const parts = [cut === 'any' ? null : cut, appearance, density === null ? null : `${sayDensity(density)}x`];
  return parts.filter((p) => p !== null).join(', ') || 'all files';
}

/** A fault as it is judged; `null` where it keeps to its limit. */
function findingOf(
  { rule, of, file, value, said }: Fault,
  accepted: readonly FileAcceptance[],
): FileFinding | null {
  const about = aboutOf(file);
  const breach = gravestBreach(about, [fileBounds(rule)], value);
  if (!breach) return null;
  const { limit } = breach;
  const taken = accepted.find(
    (a) => a.picture === of.id && a.rule === rule && a.about === about && !isWorse(breach, a.value),
  );
  return {
    id: `${of.id} ${rule} ${about}`,
    source: 'files',
    in: { id: of.id, name: of.name },
    subject: { id: about, name: sayFile(file) },
    rule,
    word: fileWord(rule),
    measure: rule,
    outcome: taken ? 'clear' : limit.outcome,
    limits: [limit],
    cases: [],
    weight: 0,
    worst: { caseId: null, value, limit },
    said,
    hingesOn: [],
    approximate: 0,
    accepted: taken?.reason ?? null,
    file,
  };
}

/** Judges faults, and leaves out what keeps to its limit. */
const judgedFiles = (faults: readonly Fault[], accepted: readonly FileAcceptance[] = []): FileFinding[] =>
  faults.flatMap((f) => findingOf(f, accepted) ?? []);

/** Files whose px contradict each other, and nothing else that may be wrong with them. */
export const unevenFiles = (pictures: readonly Picture[]): FileFinding[] =>
  judgedFiles(pictures.flatMap((p) => setsOf(p).flatMap(uneven)));

/** The hashes of the files whose ink is looked at: the largest of each set. */
export const inkFiles = (pictures: readonly Picture[]): string[] => [
  ...new Set(
    pictures.flatMap((p) => setsOf(p).flatMap((s) => (masterOfSet(s.files) ?? s.files[0])?.hash ?? [])),
  ),
];

/** What is missing, uneven, too small, too heavy, in a wrong profile, turned by its EXIF, only light, or off its middle; each once. */
export function checkFiles({ pictures, densities, needed, ink, accepted }: CheckInput): FileFinding[] {
  const ofPictures = pictures.flatMap((picture) => [
    ...tooSmall(picture, needed.get(picture.id) ?? []),
    ...setsOf(picture).flatMap((set) => [
      ...missing(set, densities),
      ...uneven(set),
      ...tooHeavy(set),
      ...wrongProfile(set),
      ...turned(set),
      ...padding(set, ink),
    ]),
  ]);
  return judgedFiles([...ofPictures, ...missingDark(pictures)], accepted);
}
