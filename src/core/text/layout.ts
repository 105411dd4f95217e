import type { Size } from '../geometry/rect';
import { faceOf, type Face, type TextStyle } from './style';

/** What a font says; handed in, so that the core reads no files. All lengths are shares of the font size. */
export interface TextMetrics {
  /** width of a run of text on one line, kerning included */
  width: (text: string, face: Face) => number;
  /** how far the letters reach above and below the baseline, ≥ 0 */
  vertical: (face: Face) => { ascent: number; descent: number };
  /** the characters that the font does not have, each once */
  missing: (text: string, face: Face) => string[];
}

export interface Line {
  text: string;
  /** lu */
  width: number;
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

/** Characters as they are read, so that nothing is cut inside of one. */
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

/** One paragraph, broken at spaces, and inside of a word only where the word alone is too wide. */
function broken(paragraph: string, fits: Fits): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of paragraph.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (fits(longer)) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = word;
    while (line !== '' && !fits(line)) {
      const start = longestStart(line, fits);
      if (start.length === line.length) break;
      lines.push(start);
      line = line.slice(start.length);
    }
  }
  return [...lines, line];
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
  const all = text.split('\n').flatMap((paragraph) => broken(paragraph, fits));
  const kept = all.slice(0, style.maxLines ?? all.length);
  const shortened = kept.length < all.length;
  if (shortened) kept.push(withEllipsis(kept.pop()!, fits));
  const lines = kept.map((s) => ({ text: s, width: width(s) }));
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
 * A text set in lines. They break at line breaks, at spaces, and then anywhere; over `maxLines` the last one ends
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
