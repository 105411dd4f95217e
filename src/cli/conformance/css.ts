import { lu, percent, type Length } from '@/core/scene/values';
import type { Align, Fit, FitSize, Repeat } from '@/core/fit/rule';

type AxisPosition = Extract<Align, { kind: 'position' }>['x'];

const KEYWORDS: Record<string, number> = { left: 0, top: 0, center: 50, right: 100, bottom: 100 };
const VERTICAL = ['top', 'bottom'];

/** A length in px or %. @throws naming any other */
export function cssLength(text: string): Length {
  const match = /^(-?[\d.]+)(px|%)?$/.exec(text);
  if (!match) throw new Error(`“${text}” is not a length in px or %`);
  return match[2] === '%' ? percent(Number(match[1])) : lu(Number(match[1]));
}

/** One axis of a CSS <position>: a keyword with or without an offset from that edge, or a length or percentage. */
function axisPosition(tokens: readonly string[]): AxisPosition {
  const [first = 'center', second] = tokens;
  const keyword = KEYWORDS[first];
  if (keyword === undefined) {
    const length = cssLength(first);
    return 'unit' in length && length.unit === '%'
      ? { percent: length.value, offset: lu(0) }
      : { percent: 0, offset: length };
  }
  const offset = second === undefined ? lu(0) : cssLength(second);
  const fromEnd = keyword === 100 && 'value' in offset;
  return { percent: keyword, offset: fromEnd ? { ...offset, value: 0 - offset.value } : offset };
}

/** CSS Values 4 §9: one to four parts, keywords in either order. */
export function cssPosition(text: string): Align {
  const tokens = text.trim().split(/\s+/);
  const groups: string[][] = [];
  for (const token of tokens) {
    const last = groups.at(-1);
    const offsetOfKeyword = tokens.length > 2 && last && last.length === 1 && last[0]! in KEYWORDS;
    if (offsetOfKeyword && !(token in KEYWORDS)) last.push(token);
    else groups.push([token]);
  }
  const [a = ['center'], b] = groups;
  const swapped = VERTICAL.includes(a[0]!) || (b !== undefined && ['left', 'right'].includes(b[0]!));
  const [x, y] = swapped ? [b ?? ['center'], a] : [a, b ?? ['center']];
  return { kind: 'position', x: axisPosition(x), y: axisPosition(y) };
}

export function cssBackgroundSize(text: string): FitSize {
  if (text === 'cover' || text === 'contain') return text;
  const [width = 'auto', height = 'auto'] = text.split(/\s+/);
  const side = (t: string) => (t === 'auto' ? 'auto' : cssLength(t));
  return width === 'auto' && height === 'auto' ? 'natural' : { width: side(width), height: side(height) };
}

export function cssRepeat(text: string): Fit['repeat'] {
  if (text === 'repeat-x') return { x: 'repeat', y: 'no-repeat' };
  if (text === 'repeat-y') return { x: 'no-repeat', y: 'repeat' };
  const [x, y = x] = text.split(/\s+/) as [Repeat, Repeat?];
  return { x, y: y! };
}

const OBJECT_FIT: Record<string, FitSize> = {
  fill: 'stretch',
  none: 'natural',
  cover: 'cover',
  contain: 'contain',
  'scale-down': 'scale-down',
};

const ONCE = { x: 'no-repeat', y: 'no-repeat' } as const;
const fit = (size: FitSize, repeat: Fit['repeat'], align: Align): Fit => ({
  size,
  repeat,
  align,
  clip: true,
  cornerRadius: lu(0),
});

export function objectFit(value: string, position: string): Fit {
  const size = OBJECT_FIT[value];
  if (!size) throw new Error(`“${value}” is not a value of object-fit`);
  return fit(size, ONCE, cssPosition(position));
}

export const background = (size: string, position: string, repeat: string): Fit =>
  fit(cssBackgroundSize(size), cssRepeat(repeat), cssPosition(position));

const SVG_ALIGN: Record<string, number> = { Min: 0, Mid: 50, Max: 100 };

/** SVG 2 §8.7: `xMidYMin slice` and the like. */
export function preserveAspectRatio(align: string, meetOrSlice: string): Fit {
  const match = /^x(Min|Mid|Max)Y(Min|Mid|Max)$/.exec(align);
  const at = (part: string | undefined) => ({ percent: SVG_ALIGN[part ?? 'Min']!, offset: lu(0) });
  const position: Align = { kind: 'position', x: at(match?.[1]), y: at(match?.[2]) };
  if (!match) return fit('stretch', ONCE, position);
  return fit(meetOrSlice === 'slice' ? 'cover' : 'contain', ONCE, position);
}
