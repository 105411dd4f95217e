import { z } from 'zod';
import type { Appearance } from '../values/values';
import type { Cut } from './picture';

const Words = z.array(z.string().trim().min(1).max(40)).max(20);

/**
 * How names of files are read. A density pattern holds `{n}` where the number stands and `x` or `dpi` after it; with
 * a `/` at its end it is the name of a folder, otherwise a part of the file's own name.
 */
export const Naming = z.strictObject({
  density: z
    .array(
      z
        .string()
        .max(40)
        .regex(/^[^{}/]*\{n\}(x|dpi)\/?$/, 'a density pattern is such as @{n}x, -{n}dpi or {n}x/'),
    )
    .max(20),
  dark: Words,
  light: Words,
  portrait: Words,
  landscape: Words,
});
export type Naming = z.infer<typeof Naming>;

export const DEFAULT_NAMING: Naming = {
  density: ['@{n}x', '-{n}x', '_{n}x', '-{n}dpi', '{n}x/', '@{n}x/', '{n}dpi/'],
  dark: ['dark', 'night'],
  light: ['light', 'day'],
  portrait: ['portrait', 'upright'],
  landscape: ['landscape', 'wide'],
};

const BASELINE_DPI = 160;
const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const escaped = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\/]/g, String.raw`\$&`);

export interface Recognised {
  /** what is left of the name: of files with the same one the picture is made */
  name: string;
  density: number | null;
  appearance: Appearance | null;
  cut: Cut['cut'] | null;
  /** what in the path said so, in the order in which it was found */
  evidence: string[];
}

interface Pattern {
  regex: RegExp;
  perInch: boolean;
}

function patterns(naming: Naming, ofFolders: boolean): Pattern[] {
  return naming.density
    .filter((p) => p.endsWith('/') === ofFolders)
    .map((p) => {
      const body = p.replace('/', '').split('{n}').map(escaped).join(NUMBER);
      const regex = ofFolders ? `^${body}$` : String.raw`${body}(?=$|[-_.~@ ])`;
      return { regex: new RegExp(regex, 'i'), perInch: p.includes('dpi') };
    });
}

const SEPARATOR = /[-_.~ ]+/;
type Meaning = Partial<Pick<Recognised, 'appearance' | 'cut'>>;

function meaningOf(word: string, naming: Naming): Meaning | null {
  const is = (list: readonly string[]) => list.some((w) => w.toLowerCase() === word.toLowerCase());
  if (is(naming.dark)) return { appearance: 'dark' };
  if (is(naming.light)) return { appearance: 'light' };
  if (is(naming.portrait)) return { cut: 'portrait' };
  return is(naming.landscape) ? { cut: 'landscape' } : null;
}

/**
 * What the path of a file says about it. Words count where they stand alone between separators; what is not
 * recognised stays in the name.
 * @param path with `/` between folders
 */
export function recognise(path: string, naming: Naming): Recognised {
  const parts = path.split('/').filter(Boolean);
  const stem = (parts.pop() ?? '').replace(/\.[^.]+$/, '');
  const found: Recognised = { name: '', density: null, appearance: null, cut: null, evidence: [] };

  const density = (text: string, list: readonly Pattern[]): string => {
    for (const { regex, perInch } of list) {
      const match = regex.exec(text);
      if (!match || Number(match[1]) <= 0) continue;
      found.density ??= Number(match[1]) / (perInch ? BASELINE_DPI : 1);
      found.evidence.push(match[0]);
      return text.replace(match[0], '');
    }
    return text;
  };
  /** @returns the words that mean nothing, joined as they were */
  const words = (text: string): string => {
    const kept = text.split(SEPARATOR).filter((word) => {
      const meaning = meaningOf(word, naming);
      if (!meaning) return true;
      found.appearance ??= meaning.appearance ?? null;
      found.cut ??= meaning.cut ?? null;
      found.evidence.push(word);
      return false;
    });
    return kept.length === text.split(SEPARATOR).length ? text : kept.join(' ');
  };

  const folders = parts.map((folder) => {
    const rest = folder
      .split(SEPARATOR)
      .map((piece) => density(piece, patterns(naming, true)))
      .filter(Boolean);
    return words(rest.join('-'));
  });
  const rest = words(density(stem, patterns(naming, false)));
  found.name = tidy(rest) || tidy(folders.findLast((f) => tidy(f) !== '') ?? '') || stem;
  return found;
}

const tidy = (text: string) => text.replaceAll(/^[-_.~ ]+|[-_.~ ]+$/g, '');

/** Whether two names are of one picture: capitals and separators do not matter. */
export const sameName = (a: string, b: string) => plain(a) === plain(b);
const plain = (name: string) => name.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');
