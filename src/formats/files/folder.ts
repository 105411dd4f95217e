import { z } from 'zod';
import { ANOTHER_PICTURE } from '@/core/pixels/apart';
import { sayFileSize, sayNumber } from '@/core/words/numbers';
import type { OutFile } from './names';

/** A file that lies in a folder. */
export interface FolderFile {
  /** within the folder, with / between folders */
  path: string;
  hash: string;
  bytes: number;
  /** what it is, whatever its name says; `null` for anything but a picture */
  type: 'png' | 'jpeg' | 'webp' | 'avif' | 'svg' | null;
  widthPx: number;
  heightPx: number;
  transparent: boolean;
  /** the colour profile where that is not sRGB */
  profile: string | null;
  /** how far it lies from the file of the project that has its name, as `core/pixels/apart` says; absent where nobody looked */
  apart?: number;
  /** both and how they differ, beside one another, as an address */
  picture?: string;
}

export const FOLDER_RULES = [
  'missing',
  'named-otherwise',
  'swapped',
  'wrong-size',
  'not-a-picture',
  'another-picture',
  'wrong-type',
  'alpha',
  'profile',
  'edited',
  'too-heavy',
  'twice',
  'surplus',
] as const;
export type FolderRule = (typeof FOLDER_RULES)[number];

/** One thing that is wrong with a folder of files, and what is to be done about it. */
export const FolderFault = z.object({
  rule: z.enum(FOLDER_RULES),
  path: z.string(),
  said: z.string(),
  mend: z.string(),
  /** the file of the project that mends it once it is written there, by its path; `null` where that mends nothing */
  written: z.string().nullable(),
  picture: z
    .string()
    .optional()
    .describe(
      'the file of the project, that of the folder, and how they differ eightfold, as a data address',
    ),
});
export type FolderFault = z.infer<typeof FolderFault>;

export interface FolderAsked {
  /** the files of the project, as they are named there */
  wanted: readonly OutFile[];
  found: readonly FolderFile[];
  /** bytes that no file may be heavier than; any when absent */
  heaviest?: number;
}

const ENDINGS: Record<NonNullable<FolderFile['type']>, readonly string[]> = {
  png: ['png', 'apng'],
  jpeg: ['jpg', 'jpeg'],
  webp: ['webp'],
  avif: ['avif'],
  svg: ['svg'],
};

const endingOf = (path: string) => /\.([^./]+)$/.exec(path)?.[1]?.toLowerCase() ?? '';
const sayPx = ({ widthPx, heightPx }: { widthPx: number; heightPx: number }) => `${widthPx} × ${heightPx} px`;
const sizeOf = ({ widthPx, heightPx }: { widthPx: number; heightPx: number }) => `${widthPx}x${heightPx}`;

const sayApart = (apart: number) => `${sayNumber(apart)} apart on average (CIEDE2000)`;

const TAKE_IT = 'Write it again from the project.';

/** What the pixels of both say more of than words. */
const SHOWN_BESIDE = new Set<FolderRule>(['another-picture', 'edited', 'wrong-size', 'alpha']);

/** What is wrong with a file that bears the name of one of the project; what is graver first. */
function withName(file: FolderFile, wanted: OutFile, all: readonly OutFile[]): FolderFault | null {
  const { path, type } = file;
  const fault = (rule: FolderRule, said: string, mend = TAKE_IT): FolderFault => ({
    rule,
    path,
    said,
    mend,
    written: path,
    ...(SHOWN_BESIDE.has(rule) && file.picture !== undefined && { picture: file.picture }),
  });
  if (type === null) return fault('not-a-picture', 'It is no picture that can be read.');
  if (file.hash === wanted.hash) return null;
  const swapped = all.find((w) => w.hash === file.hash);
  if (swapped) return fault('swapped', `It is the file that belongs to ${swapped.path}.`);
  if (file.apart !== undefined && file.apart > ANOTHER_PICTURE)
    return fault(
      'another-picture',
      `It shows something else than the file of the project: their colours are ${sayApart(file.apart)}.`,
      'Write it again from the project, or import it there if it is the right one.',
    );
  if (!ENDINGS[type].includes(endingOf(path)))
    return fault('wrong-type', `It is ${type.toUpperCase()}, whatever its name says.`);
  if (!wanted.vector && sizeOf(file) !== sizeOf(wanted))
    return fault('wrong-size', `It has ${sayPx(file)} and should have ${sayPx(wanted)}.`);
  if (file.transparent && wanted.transparent === false)
    return fault('alpha', 'It is see-through in parts, and the file of the project is not.');
  if (file.profile !== null) return fault('profile', `Its colours are in ${file.profile}, not in sRGB.`);
  return fault(
    'edited',
    `It was edited, or encoded in another way: ${sayFileSize(file.bytes)} instead of ${sayFileSize(wanted.bytes)}${
      file.apart === undefined ? '' : `, its colours ${sayApart(file.apart)}`
    }.`,
    'Write it again from the project, or import it there if it is the newer one.',
  );
}

/** The file that one under another name is meant for: one that is not there. */
const meantBy = ({ path, hash }: FolderFile, missing: readonly OutFile[]): OutFile | undefined =>
  missing.find((w) => w.hash === hash) ?? missing.find((w) => w.path.toLowerCase() === path.toLowerCase());

/** What is wrong with a file that bears no name of the project. @param meant the one that it is meant for, if any */
function besides(
  { path, hash }: FolderFile,
  meant: OutFile | undefined,
  all: readonly OutFile[],
): FolderFault {
  if (meant)
    return {
      rule: 'named-otherwise',
      path,
      said: `It should be called ${meant.path}.`,
      mend: `Rename it to ${meant.path}.`,
      written: meant.path,
    };
  const same = all.find((w) => w.hash === hash);
  if (same)
    return {
      rule: 'twice',
      path,
      said: `It is ${same.path} once more.`,
      mend: 'Leave it out.',
      written: null,
    };
  return {
    rule: 'surplus',
    path,
    said: 'No scene of the project shows it.',
    mend: 'Leave it out, or import it and show it.',
    written: null,
  };
}

/**
 * What is wrong with a folder, held against the files of a project: one fault a file, the gravest of it, and one for each file that
 * is not there; in the order of the paths. Files whose names begin with a dot are not looked at.
 */
export function checkFolder({ wanted, found, heaviest = Infinity }: FolderAsked): FolderFault[] {
  const looked = found.filter(({ path }) => !path.split('/').some((part) => part.startsWith('.')));
  const there = new Set(looked.map((f) => f.path));
  const missing = wanted.filter((w) => !there.has(w.path));
  const byPath = new Map(wanted.map((w) => [w.path, w]));
  const named = new Set<OutFile>();
  const faults = looked.flatMap((file): FolderFault[] => {
    const own = byPath.get(file.path);
    const meant = own ? undefined : meantBy(file, missing);
    if (meant) named.add(meant);
    const fault = own ? withName(file, own, wanted) : besides(file, meant, wanted);
    if (fault) return [fault];
    if (file.bytes <= heaviest) return [];
    const said = `It has ${sayFileSize(file.bytes)}; ${sayFileSize(heaviest)} are allowed.`;
    const mend = 'Encode it with less quality, or as WebP.';
    return [{ rule: 'too-heavy', path: file.path, said, mend, written: null }];
  });
  const gone = missing
    .filter((w) => !named.has(w))
    .map((w): FolderFault => ({
      rule: 'missing',
      path: w.path,
      said: `${w.about} is not there.`,
      mend: TAKE_IT,
      written: w.path,
    }));
  return [...faults, ...gone].sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0));
}
