import createBidi from 'bidi-js';
import type { Font, Glyph, GlyphPosition } from 'fontkit';
import LineBreaker from 'linebreak';
import type { Reading } from '@/core/text/layout';
import { EM } from './em';

const bidi = createBidi();
const segmenter = new Intl.Segmenter('en');

/** Characters that are not drawn themselves, such as joiners: no font needs to have them. */
const IGNORABLE = /^\p{Default_Ignorable_Code_Point}$/u;

/** Where a line may end, after so many code units. Source: Unicode Standard Annex 14. */
export function breaksOf(paragraph: string): number[] {
  const breaker = new LineBreaker(paragraph);
  const breaks: number[] = [];
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) breaks.push(next.position);
  return breaks;
}

/** Source: Unicode Standard Annex 9, P2 and P3. */
export const readingOf = (paragraph: string): Reading =>
  (bidi.getEmbeddingLevels(paragraph, 'auto').paragraphs[0]?.level ?? 0) % 2 === 1 ? 'rtl' : 'ltr';

const has = (font: Font, cluster: string) =>
  [...cluster].every((c) => IGNORABLE.test(c) || font.hasGlyphForCodePoint(c.codePointAt(0)!));

/** The letters of a text that no font has, as they are read, each once. */
export function missingIn(text: string, fonts: readonly Font[]): string[] {
  const clusters = [...segmenter.segment(text)].map((s) => s.segment);
  const seen = clusters.filter((c) => c !== '\n' && !fontFor(c, fonts));
  return [...new Set(seen)];
}

/** The first font that has all of a letter, marks included, and how it is written there: in one character if need be. */
function fontFor(cluster: string, fonts: readonly Font[]): { font: Font; text: string } | null {
  const composed = cluster.normalize('NFC');
  for (const font of fonts) {
    if (has(font, cluster)) return { font, text: cluster };
    if (composed !== cluster && has(font, composed)) return { font, text: composed };
  }
  return null;
}

/** A stretch of a line that is shaped at once: of one level, and of one font; `null` for letters that none has. */
interface Run {
  font: Font | null;
  text: string;
  /** of embedding; an odd one runs from right to left */
  level: number;
}

/** The stretches of a line in the order in which they are read. Source: CSS Fonts 4 §5.3 (matching by clusters). */
function runsOf(line: string, fonts: readonly Font[], reading: Reading): Run[] {
  const { levels } = bidi.getEmbeddingLevels(line, reading);
  const runs: Run[] = [];
  for (const { segment, index } of segmenter.segment(line)) {
    const level = levels[index]!;
    const mirrored = level % 2 === 1 ? (bidi.getMirroredCharacter(segment) ?? segment) : segment;
    const found = fontFor(mirrored, fonts);
    const { font, text } = found ?? { font: null, text: segment };
    const last = runs.at(-1);
    if (font && last?.font === font && last.level === level) last.text += text;
    else runs.push({ font, text, level });
  }
  return runs;
}

/** The stretches in the order in which they stand, from left to right. Source: Unicode Standard Annex 9, L2. */
function inVisualOrder(runs: readonly Run[]): Run[] {
  const ordered = [...runs];
  const highest = Math.max(0, ...runs.map((r) => r.level));
  for (let level = highest; level > 0; level--) {
    for (let from = 0; from < ordered.length; from++) {
      let to = from;
      while (to < ordered.length && ordered[to]!.level >= level) to++;
      ordered.splice(from, to - from, ...ordered.slice(from, to).reverse());
      from = to;
    }
  }
  return ordered;
}

/** Part of a shaped line, from left to right: a glyph of a font, or a box in the place of a letter that none has. */
export type Shaped =
  { kind: 'glyph'; glyph: Glyph; position: GlyphPosition; unit: number } | { kind: 'box'; advance: number };

/** Width of a box, in units of `EM`. */
const BOX_ADVANCE = 0.62 * EM;

function shapedRun({ font, text, level }: Run): Shaped[] {
  if (!font) return [{ kind: 'box', advance: BOX_ADVANCE }];
  // Glyphs of a run from right to left come in the order in which they stand.
  const direction = level % 2 === 1 ? 'rtl' : 'ltr';
  const { glyphs, positions } = font.layout(text, undefined, undefined, undefined, direction);
  const unit = EM / font.unitsPerEm;
  return glyphs.map((glyph, i) => ({ kind: 'glyph', glyph, position: positions[i]!, unit }));
}

export const shaped = (line: string, fonts: readonly Font[], reading: Reading): Shaped[] =>
  inVisualOrder(runsOf(line, fonts, reading)).flatMap(shapedRun);

/** In units of `EM`. */
export const advanceOf = (part: Shaped): number =>
  part.kind === 'box' ? part.advance : part.position.xAdvance * part.unit;

/** A frame that stands on the baseline as high as a capital: its inside runs the other way round, which leaves it empty. */
function boxOutline(x: number): string {
  const [left, right, top, line] = [x + 0.07 * EM, x + 0.55 * EM, -0.7 * EM, 0.05 * EM];
  return (
    `M${left} 0L${left} ${top}L${right} ${top}L${right} 0Z` +
    `M${left + line} ${-line}L${right - line} ${-line}L${right - line} ${top + line}L${left + line} ${top + line}Z`
  );
}

/** A shaped line as SVG path data, starting at 0 on the baseline, in units of `EM`. */
export function letterOutline(parts: readonly Shaped[]): string {
  let x = 0;
  return parts
    .map((part) => {
      const at = x;
      x += advanceOf(part);
      if (part.kind === 'box') return boxOutline(at);
      const { glyph, position, unit } = part;
      return glyph.path
        .scale(unit, -unit)
        .translate(at + position.xOffset * unit, -position.yOffset * unit)
        .toSVG();
    })
    .join('');
}
