import { z } from 'zod';
import type { Bounds } from '../measure/judge';
import { Id } from '../values/values';
import { documentObject } from '../values/object';

/** What can be wrong with the files of a picture. */
export const FILE_RULES = [
  'missing',
  'uneven',
  'undecided',
  'too-small',
  'too-heavy',
  'wrong-profile',
  'turned',
  'missing-dark',
  'padding',
] as const;
export type FileRule = (typeof FILE_RULES)[number];

/** What a value of a file is held against. */
export type FileBounds = Bounds & { measure: FileRule; max: number };

interface Rule {
  /** what is wrong, after the name of the picture */
  word: string;
  /** what is measured: a number of faults, a share, or a ratio */
  max: number;
  outcome: FileBounds['outcome'];
  reason: string;
}

/** What each rule is called, over which value it is broken, and why. */
const RULES: Record<FileRule, Rule> = {
  missing: {
    word: 'missing',
    max: 0,
    outcome: 'warn',
    reason: 'Where a density has no file another one is scaled, which costs memory or sharpness.',
  },
  uneven: {
    word: 'uneven',
    max: 0,
    outcome: 'warn',
    reason: 'A file that is not of its density is drawn larger or smaller than the others.',
  },
  undecided: {
    word: 'undecided',
    max: 0,
    outcome: 'warn',
    reason: 'Files that contradict each other cannot all be right.',
  },
  'too-small': {
    word: 'too small',
    max: 1,
    outcome: 'fail',
    reason: 'Where a scene draws more pixels than the largest file has, it is enlarged and soft.',
  },
  'too-heavy': {
    word: 'too heavy',
    max: 2,
    outcome: 'warn',
    reason: 'A large file that is encoded well takes less than 2 bytes a pixel.',
  },
  'wrong-profile': {
    word: 'wrong profile',
    max: 0,
    outcome: 'warn',
    reason: 'Where profiles are not read, the colours of a file that is not in sRGB change.',
  },
  turned: {
    word: 'turned by its EXIF',
    max: 0,
    outcome: 'fail',
    reason: 'Browsers and most apps do not follow the EXIF of a WebP: there it lies on its side.',
  },
  'missing-dark': {
    word: 'light only',
    max: 0,
    outcome: 'warn',
    reason: 'Once most pictures have a dark file, one that has none looks forgotten.',
  },
  padding: {
    word: 'uneven padding',
    max: 0.02,
    outcome: 'warn',
    reason: 'Sides that differ by more than 2 % of the file put what is seen visibly off its middle.',
  },
};

/** What a rule is called. */
export const fileWord = (rule: FileRule): string => RULES[rule].word;

/** What the values of a rule are held against. */
export const fileBounds = (rule: FileRule): FileBounds => {
  const { max, outcome, reason } = RULES[rule];
  return { measure: rule, max, outcome, reason };
};

/** Something found in the files of a picture that somebody has looked at and takes as it is; it opens again when it gets worse. */
export const FileAcceptance = documentObject({
  picture: Id,
  rule: z.enum(FILE_RULES),
  /** which of its files: cut, appearance and density, as far as it is of one */
  about: z.string().max(64),
  value: z.number(),
  reason: z.string().min(1, 'Say why it is accepted.').max(400),
});
export type FileAcceptance = z.infer<typeof FileAcceptance>;
