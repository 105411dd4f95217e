import { create, type Font } from 'fontkit';
import { LRUCache } from 'lru-cache';
import type { Reading, TextMetrics } from '@/core/text/layout';
import { FACES, fontHash, type Face, type ShippedFace } from '@/core/text/style';
import { cached } from './cached';
import { EM } from './em';
import { unpackedFont } from './woff';
import { advanceOf, breaksOf, missingIn, letterOutline, readingOf, shaped } from './shape';

/** Fonts as they were read: what they measure and what their letters look like, the same everywhere. */
export interface Fonts extends TextMetrics {
  /** a line of text as SVG path data, starting at 0 on the baseline, in units of `EM`; letters from left to right */
  outline: (text: string, face: Face, reading: Reading) => string;
  /** whether a face can be written with; one that is imported has to be added first */
  has: (face: Face) => boolean;
  /** the same fonts with imported ones. @param files their bytes, by hash @throws when one is no font */
  with: (files: ReadonlyMap<string, Uint8Array>) => Fonts;
}

/** The parts that a face is shipped in, in the order in which they are asked for a letter. */
export const SUBSETS = ['latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext'] as const;
export type Subset = (typeof SUBSETS)[number];

/** What an imported font does not have is taken from this one, as a browser goes on to the next family. */
const FALLBACK: ShippedFace = 'sans-400';

const MOST_KEPT = 4000;

/** Keeps the answers of a costly function of a text and a few words about it. */
function keptByText<A extends string[], T extends NonNullable<unknown>>(
  find: (text: string, ...about: A) => T,
) {
  const known = new LRUCache<string, T>({ max: MOST_KEPT });
  return (text: string, ...about: A): T =>
    cached(known, `${about.join(' ')} ${text}`, () => find(text, ...about));
}

type Shipped = Record<ShippedFace, readonly Font[]>;

function fontsOf(shipped: Shipped, imported: ReadonlyMap<string, Font>): Fonts {
  const listOf = (face: Face): readonly Font[] => {
    const hash = fontHash(face);
    if (hash === null) return shipped[face as ShippedFace];
    const own = imported.get(hash);
    if (!own) throw new Error('A font of this text is not loaded yet.');
    return [own, ...shipped[FALLBACK]];
  };
  const width = (text: string, face: Face) =>
    // The order of the letters does not change how wide they are.
    shaped(text, listOf(face), 'ltr').reduce((sum, part) => sum + advanceOf(part), 0) / EM;
  return {
    width: keptByText(width),
    outline: keptByText((text: string, face: Face, reading: Reading) =>
      letterOutline(shaped(text, listOf(face), reading)),
    ),
    vertical: (face) => {
      const { ascent, descent, unitsPerEm } = listOf(face)[0]!;
      return { ascent: ascent / unitsPerEm, descent: -descent / unitsPerEm };
    },
    missing: keptByText((text: string, face: Face) => missingIn(text, listOf(face))),
    breaks: keptByText((text: string) => breaksOf(text)),
    reading: keptByText((text: string) => readingOf(text)),
    has: (face) => {
      const hash = fontHash(face);
      return hash === null || imported.has(hash);
    },
    with: (files) => {
      const added = [...files].filter(([hash]) => !imported.has(hash));
      const read = added.map(([hash, bytes]) => [hash, readFont(bytes)] as const);
      return fontsOf(shipped, new Map([...imported, ...read]));
    },
  };
}

/** One font out of the bytes of a file: TTF, OTF, WOFF or WOFF2. @throws when they are none, or several in one */
export function readFont(bytes: Uint8Array): Font {
  const font = create(unpackedFont(bytes) as Buffer);
  if (!('layout' in font)) throw new Error('The file holds several fonts.');
  return font;
}

/** @param files the bytes of each part of each face, in the order of `SUBSETS` */
export const createFonts = (files: Record<ShippedFace, readonly Uint8Array[]>): Fonts =>
  fontsOf(
    Object.fromEntries(FACES.map((face) => [face, files[face].map(readFont)])) as unknown as Shipped,
    new Map(),
  );

export const fontAddress = (face: ShippedFace, subset: Subset) => `/api/v1/fonts/${face}/${subset}`;
export const importedFontAddress = (hash: string) => `/api/v1/fonts/imported/${hash}`;

async function bytesAt(address: string): Promise<Uint8Array> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`A font could not be loaded (${response.status}).`);
  return new Uint8Array(await response.arrayBuffer());
}

/** The fonts as the server hands them out, for a page or a worker. */
export async function loadFonts(): Promise<Fonts> {
  const entries = FACES.map(
    async (face) => [face, await Promise.all(SUBSETS.map((s) => bytesAt(fontAddress(face, s))))] as const,
  );
  return createFonts(Object.fromEntries(await Promise.all(entries)) as Record<ShippedFace, Uint8Array[]>);
}

/** Adds imported fonts to those that are loaded; they stay the very object where all of them are there. */
export async function withImported(fonts: Fonts, hashes: readonly string[]): Promise<Fonts> {
  const missing = hashes.filter((hash) => !fonts.has(`font:${hash}`));
  if (missing.length === 0) return fonts;
  const files = await Promise.all(
    missing.map(async (hash) => [hash, await bytesAt(importedFontAddress(hash))] as const),
  );
  return fonts.with(new Map(files));
}
