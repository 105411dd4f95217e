import type { Size } from '../geometry/rect';
import { faceOf, type Face, type TextStyle } from './style';

/** Which way a paragraph is read: what its lines begin with lies at that side. */
export type Reading = 'ltr' | 'rtl';

/** What a font says; handed in, so that the core reads no files. All lengths are shares of the font size. */
export interface TextMetrics {
  /** width of a run of text on one line, kerning included */
  width: (text: string, face: Face) => number;
  /** how far the letters reach above and below the baseline, ≥ 0 */
  vertical: (face: Face) => { ascent: number; descent: number };
  /** the letters that the font does not have, each once: boxes are drawn in their place */
  missing: (text: string, face: Face) => string[];
  /** where a line of a paragraph may end: after so many code units, ascending. Source: Unicode Standard Annex 14 */
  breaks: (paragraph: string) => number[];
  /** which way a paragraph is read, by its first letter that says so. Source: Unicode Standard Annex 9, P2 and P3 */
  reading: (paragraph: string) => Reading;
}

export interface Line {
  text: string;
  /** lu */
  width: number;
  /** of the paragraph that it is a line of */
  reading: Reading;
}

export interface TextBlock extends Size {
  lines: Line[];
  /** the font size it was set in, lu */
  fontSize: number;
  /** whether text was left out for want of lines */
  shortened: boolean;
}

const ELLIPSIS = '…';
/** A line that is as wide as its room to the last bit of a sum still fits. */
const ROUNDING = 1e-9;

/** Characters as they are read, so that nothing is cut inside one. */
const characters = (text: string) => [...new Intl.Segmenter('en').segment(text)].map((s) => s.segment);

type Fits = (text: string) => boolean;

/** The longest beginning of a text that fits, at least one character. */
function longestStart(text: string, fits: Fits): string {
  const all = characters(text);
  let low = 1;
  let high = all.length;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(all.slice(0, middle).join(''))) low = middle;
    else high = middle - 1;
  }
  return all.slice(0, low).join('');
}

/** Spaces at the end of a line that was broken are not seen. Source: CSS Text 3 §4.1.3. */
const SPACES_AT_END = /[ \t\u1680\u2000-\u2006\u2008-\u200a\u205f\u3000]+$/u;
const SOFT_HYPHEN = '\u00ad';

/** What is seen of a stretch of text as a line: a soft hyphen only where the line was broken at it. */
function seenOf(stretch: string, isBroken: boolean): string {
  const hyphen = isBroken && stretch.endsWith(SOFT_HYPHEN) ? '-' : '';
  const shown = stretch.replaceAll(SOFT_HYPHEN, '').replaceAll('\u200b', '');
  return (isBroken ? shown.replace(SPACES_AT_END, '') : shown) + hyphen;
}

/** What is left of a stretch behind a letter that fills its line: spaces hang at the end of that line and are none by themselves. */
const withoutHanging = (rest: string): string => (rest.replace(SPACES_AT_END, '') === '' ? '' : rest);

/** The stretches of a paragraph between the places where a line may end. */
function stretchesOf(paragraph: string, breaks: readonly number[]): string[] {
  const ends = [...breaks.filter((at) => at > 0 && at < paragraph.length), paragraph.length];
  return ends.map((end, i) => paragraph.slice(i > 0 ? ends[i - 1] : 0, end));
}

/**
 * One paragraph, broken where lines may end, and inside a stretch only where that alone is too wide.
 * Sources: Unicode Standard Annex 14 (where lines may end), CSS Text 3 §5.4 (overflow-wrap: break-word).
 */
function broken(paragraph: string, breaks: readonly number[], fits: Fits): string[] {
  const lines: string[] = [];
  let line = '';
  const stretches = stretchesOf(paragraph, breaks);
  stretches.forEach((stretch, i) => {
    const isLast = i === stretches.length - 1;
    if (fits(seenOf(line + stretch, !isLast))) {
      line += stretch;
      return;
    }
    if (line !== '') lines.push(seenOf(line, true));
    line = stretch;
    while (!fits(seenOf(line, !isLast))) {
      const start = longestStart(line, fits);
      if (start.length === line.length) break;
      lines.push(start);
      line = withoutHanging(line.slice(start.length));
      if (line === '') break;
    }
  });
  return line === '' && lines.length > 0 ? lines : [...lines, seenOf(line, false)];
}

function withEllipsis(line: string, fits: Fits): string {
  const all = characters(line);
  while (all.length > 0 && !fits(all.join('').trimEnd() + ELLIPSIS)) all.pop();
  return all.join('').trimEnd() + ELLIPSIS;
}

function setAt(
  text: string,
  style: TextStyle,
  fontSize: number,
  within: number,
  metrics: TextMetrics,
): TextBlock {
  const face = faceOf(style);
  const width = (s: string) => metrics.width(s, face) * fontSize;
  const fits: Fits = (s) => width(s) <= within + ROUNDING;
  const all = text.split('\n').flatMap((paragraph) => {
    const reading = metrics.reading(paragraph);
    return broken(paragraph, metrics.breaks(paragraph), fits).map((line) => ({ text: line, reading }));
  });
  const kept = all.slice(0, style.maxLines ?? all.length);
  const shortened = kept.length < all.length;
  if (shortened) {
    const last = kept.pop()!;
    kept.push({ ...last, text: withEllipsis(last.text, fits) });
  }
  const lines = kept.map((line) => ({ ...line, width: width(line.text) }));
  return {
    lines,
    fontSize,
    shortened,
    width: Math.max(0, ...lines.map((l) => l.width)),
    height: text === '' ? 0 : lines.length * fontSize * style.lineHeight,
  };
}

const SHRINK_STEPS = 24;

/** Whether nothing of a text is left out, and none of it sticks out of a room. */
const isWhole = (b: TextBlock, within: number, height: number) =>
  !b.shortened && b.height <= height + ROUNDING && b.width <= within + ROUNDING;

/**
 * Whether a text is set in a room just as it is without any: no line has to break, nor to shrink.
 * @param free the text set within Infinity, in a room of any height
 */
export const fitsFreely = (free: TextBlock, style: TextStyle, within: number, height = Infinity): boolean =>
  style.shrinkTo === undefined ? free.width <= within + ROUNDING : isWhole(free, within, height);

/**
 * A text set in lines. They break at line breaks, where Unicode lets lines end, and then anywhere; over `maxLines` the last one ends
 * with an ellipsis. Where the style lets it shrink and a box is given, the font size is the largest that fits the
 * box whole, at least `shrinkTo`.
 * @param within the width that lines may take, lu; Infinity breaks only at line breaks
 * @param height of the box, lu
 */
export function setText(
  text: string,
  style: TextStyle,
  within: number,
  metrics: TextMetrics,
  height = Infinity,
): TextBlock {
  const at = (fontSize: number) => setAt(text, style, fontSize, within, metrics);
  const whole = (b: TextBlock) => isWhole(b, within, height);
  const usual = at(style.size);
  const least = style.shrinkTo;
  if (least === undefined || least >= style.size || whole(usual)) return usual;
  let low = least;
  let high = style.size;
  for (let i = 0; i < SHRINK_STEPS; i++) {
    const middle = (low + high) / 2;
    if (whole(at(middle))) low = middle;
    else high = middle;
  }
  return at(low);
}
