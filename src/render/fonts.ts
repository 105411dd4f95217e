import { create, type Font, type Glyph, type GlyphPosition } from 'fontkit';
import type { TextMetrics } from '@/core/text/layout';
import { FACES, type Face } from '@/core/text/style';
import { kept } from './kept';

/** Outlines are in this many units per font size, y downwards from the baseline. */
export const EM = 2048;

/** The shipped fonts: what they measure and what their letters look like, the same everywhere. */
export interface Fonts extends TextMetrics {
  /** a line of text as SVG path data, starting at 0 on the baseline, in units of `EM` */
  outline: (text: string, face: Face) => string;
}

/** The parts that a face is shipped in, in the order in which they are asked for a letter. */
export const SUBSETS = ['latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext'] as const;
export type Subset = (typeof SUBSETS)[number];

const MOST_KEPT = 4000;

/** Keeps the answers of a costly function of a text. */
function keptByText<T>(find: (text: string, face: Face) => T) {
  const known = kept<T>(MOST_KEPT);
  return (text: string, face: Face): T => known.get(`${face} ${text}`, () => find(text, face));
}

/** A stretch of text that one file has all letters of. */
interface Run {
  font: Font;
  text: string;
}

const has = (font: Font, character: string) => font.hasGlyphForCodePoint(character.codePointAt(0)!);

function runsOf(text: string, fonts: readonly Font[]): Run[] {
  const runs: Run[] = [];
  for (const character of text) {
    const last = runs.at(-1);
    const font = last && has(last.font, character) ? last.font : fonts.find((f) => has(f, character));
    if (!font) continue;
    if (last?.font === font) last.text += character;
    else runs.push({ font, text: character });
  }
  return runs;
}

interface Shaped {
  glyph: Glyph;
  position: GlyphPosition;
  /** units of `EM` per unit of the font */
  unit: number;
}

const shaped = (text: string, fonts: readonly Font[]): Shaped[] =>
  runsOf(text, fonts).flatMap(({ font, text: run }) => {
    const { glyphs, positions } = font.layout(run);
    const unit = EM / font.unitsPerEm;
    return glyphs.map((glyph, i) => ({ glyph, position: positions[i]!, unit }));
  });

function outlineOf(glyphs: readonly Shaped[]): string {
  let x = 0;
  return glyphs
    .map(({ glyph, position, unit }) => {
      const path = glyph.path
        .scale(unit, -unit)
        .translate(x + position.xOffset * unit, -position.yOffset * unit);
      x += position.xAdvance * unit;
      return path.toSVG();
    })
    .join('');
}

/** @param files the bytes of each part of each face, in the order of `SUBSETS` */
export function createFonts(files: Record<Face, readonly Uint8Array[]>): Fonts {
  const faces = Object.fromEntries(
    FACES.map((face) => [face, files[face].map((bytes) => create(bytes as Buffer) as Font)]),
  ) as Record<Face, Font[]>;
  const width = (text: string, face: Face) =>
    shaped(text, faces[face]).reduce((sum, g) => sum + g.position.xAdvance * g.unit, 0) / EM;
  return {
    width: keptByText(width),
    outline: keptByText((text, face) => outlineOf(shaped(text, faces[face]))),
    vertical: (face) => {
      const { ascent, descent, unitsPerEm } = faces[face][0]!;
      return { ascent: ascent / unitsPerEm, descent: -descent / unitsPerEm };
    },
    missing: keptByText((text, face) => [
      ...new Set([...text].filter((c) => c !== '\n' && !faces[face].some((f) => has(f, c)))),
    ]),
  };
}

export const fontAddress = (face: Face, subset: Subset) => `/api/fonts/${face}/${subset}`;

/** The fonts as the server hands them out, for a page or a worker. */
export async function loadFonts(): Promise<Fonts> {
  const load = async (face: Face, subset: Subset) => {
    const response = await fetch(fontAddress(face, subset));
    if (!response.ok) throw new Error(`A font could not be loaded (${response.status}).`);
    return new Uint8Array(await response.arrayBuffer());
  };
  const entries = FACES.map(async (face) => [face, await Promise.all(SUBSETS.map((s) => load(face, s)))]);
  return createFonts(Object.fromEntries(await Promise.all(entries)) as Record<Face, Uint8Array[]>);
}
