import { z } from 'zod';
import { CUT_WORDS } from '@/core/pictures/words';
import type { Cut, Picture, Rendition } from '@/core/pictures/picture';
import { sayDensity } from '@/core/words/numbers';
import { fileStem } from '../text/file-name';

/** What a pattern may name of a file, with what it comes to. */
const PARTS = {
  name: ({ picture }: NamedFile) => fileStem(picture.name),
  density: ({ rendition }: NamedFile) => sayDensity(rendition.density),
  appearance: ({ rendition }: NamedFile) => rendition.appearance,
  cut: ({ cut }: NamedFile) => cut.cut,
  width: ({ rendition }: NamedFile) => String(rendition.widthPx),
  height: ({ rendition }: NamedFile) => String(rendition.heightPx),
} as const;
type PartName = keyof typeof PARTS;

/** What goes without saying: a part in brackets is left out where it is that. */
const USUAL: Partial<Record<PartName, string>> = { density: '1', appearance: 'light', cut: 'any' };

export const DEFAULT_PATTERN = '{name}[-{cut}][-{appearance}][@{density}x]';

/** A file with what it is a file of. */
interface NamedFile {
  picture: Picture;
  cut: Cut;
  rendition: Rendition;
}

/** What a pattern is made of: text, something of the file, or a part that is left out where it goes without saying. */
type Piece = { text: string } | { part: PartName } | { optional: Piece[] };

const isPart = (name: string): name is PartName => Object.hasOwn(PARTS, name);

/** Characters that some systems do not take in names of files, and those that mean something here. */
const FORBIDDEN = /[\\:*?"<>|{}[\]\u0000-\u001F]/;

/** Why a pattern cannot be used, in words with the way out. */
export class PatternFault extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'PatternFault';
  }
}

function textPiece(text: string): Piece {
  if (FORBIDDEN.test(text))
    throw new PatternFault(`“${text}” holds a sign that not every system takes in names.`);
  return { text };
}

function partPiece(name: string): Piece {
  if (isPart(name)) return { part: name };
  const known = Object.keys(PARTS)
    .map((p) => `{${p}}`)
    .join(', ');
  throw new PatternFault(`There is no {${name}}. There are ${known}.`);
}

/** Pieces of a pattern without brackets. */
const flat = (pattern: string): Piece[] =>
  pattern
    .split(/(\{[^{}]*\})/)
    .filter(Boolean)
    .map((p) => (p.startsWith('{') && p.endsWith('}') ? partPiece(p.slice(1, -1)) : textPiece(p)));

/** @throws PatternFault */
function piecesOf(pattern: string): Piece[] {
  const path = pattern.trim();
  if (path === '') throw new PatternFault(`A pattern names files: such as ${DEFAULT_PATTERN}.`);
  if (path.startsWith('/') || path.split('/').some((p) => p === '' || p === '.' || p === '..'))
    throw new PatternFault(
      'A pattern stays in its folder: it has no empty folder, and neither “.” nor “..”.',
    );
  return path
    .split(/(\[[^[\]]*\])/)
    .filter(Boolean)
    .flatMap((p): Piece[] =>
      p.startsWith('[') && p.endsWith(']') ? [{ optional: flat(p.slice(1, -1)) }] : flat(p),
    );
}

function said(pieces: readonly Piece[], file: NamedFile): string {
  return pieces
    .map((p) => {
      if ('text' in p) return p.text;
      if ('part' in p) return PARTS[p.part](file);
      const usual = p.optional.some((o) => 'part' in o && USUAL[o.part] === PARTS[o.part](file));
      return usual ? '' : said(p.optional, file);
    })
    .join('');
}

/** What the store knows of a file besides the documents. */
export const FileFacts = z.record(z.string(), z.object({ type: z.string(), bytes: z.int().nonnegative() }));
export type FileFacts = z.infer<typeof FileFacts>;

/** One file as it is taken along. */
export interface OutFile {
  /** with folders and its ending */
  path: string;
  pictureId: string;
  hash: string;
  bytes: number;
  /** what it is, such as “Emblem, dark, 2×” */
  about: string;
  widthPx: number;
  heightPx: number;
  vector: boolean;
  /** whether it is see-through in parts; absent where nobody has looked */
  transparent?: boolean;
}

const aboutOf = ({ picture, cut, rendition: r }: NamedFile) =>
  [
    picture.name,
    cut.cut !== 'any' && CUT_WORDS[cut.cut],
    r.appearance === 'dark' && 'dark',
    !r.vector && `${sayDensity(r.density)}×`,
  ]
    .filter(Boolean)
    .join(', ');

const ENDINGS: Record<string, string> = { jpeg: 'jpg' };

/** A file with its name by a pattern: folders and all but the ending. */
interface NamedBy {
  pictureId: string;
  hash: string;
  stem: string;
  ending: string;
  bytes: number;
  about: string;
  rendition: Rendition;
}

/**
 * Every file of pictures with its name by a pattern, in the order of the documents; those that are not known are left out.
 * @param facts of each file, by its hash @throws PatternFault for a pattern that cannot be used
 */
export function namesBy(pictures: readonly Picture[], pattern: string, facts: FileFacts): NamedBy[] {
  const pieces = piecesOf(pattern);
  return pictures.flatMap((picture) =>
    picture.cuts.flatMap((cut) =>
      cut.renditions.flatMap((rendition) => {
        const known = facts[rendition.hash];
        if (!known) return [];
        const file = { picture, cut, rendition };
        return [
          {
            pictureId: picture.id,
            hash: rendition.hash,
            stem: said(pieces, file),
            ending: ENDINGS[known.type] ?? known.type,
            bytes: known.bytes,
            about: aboutOf(file),
            rendition,
          },
        ];
      }),
    ),
  );
}

/**
 * All files of pictures under the names that a pattern gives them, in the order of their paths.
 * @param facts of each file, by its hash; one that the store does not know is left out
 * @throws PatternFault for a pattern that cannot be used, or that gives two files one name
 */
export function outFiles(pictures: readonly Picture[], pattern: string, facts: FileFacts): OutFile[] {
  const files = new Map<string, OutFile>();
  for (const { pictureId, hash, stem, ending, bytes, about, rendition } of namesBy(
    pictures,
    pattern,
    facts,
  )) {
    const path = `${stem}.${ending}`;
    const key = path.toLowerCase();
    const other = files.get(key);
    if (other && other.hash !== hash)
      throw new PatternFault(
        `Two files would be called ${path}: ${other.about}, and ${about}. Let the pattern say in what they differ.`,
      );
    const { widthPx, heightPx, vector, transparent } = rendition;
    files.set(key, { path, pictureId, hash, bytes, about, widthPx, heightPx, vector, transparent });
  }
  return [...files.values()].toSorted((a, b) => (a.path < b.path ? -1 : 1));
}
