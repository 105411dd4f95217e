import { parse, type CssNode } from 'css-tree';
import { lu, percent, type Length } from '@/core/values/values';
import type { Align, Fit, FitSize, Repeat } from '@/core/fit/rule';

type AxisPosition = Extract<Align, { kind: 'position' }>['x'];

/** A length in px or %. @throws naming any other */
export function cssLength(text: string): Length {
  const match = /^(-?[\d.]+)(px|%)?$/.exec(text);
  if (!match) throw new Error(`“${text}” is not a length in px or %`);
  return match[2] === '%' ? percent(Number(match[1])) : lu(Number(match[1]));
}

/** A place along an axis: a share of the free room and an offset, as CSS Values 4 §9 mixes them. */
interface Place {
  percent: number;
  px: number;
}

const parts = (node: CssNode): CssNode[] =>
  'children' in node && node.children ? node.children.toArray().filter((n) => n.type !== 'WhiteSpace') : [];

/** A length, a percentage, or a sum of them. @throws naming anything else */
function placeOf(node: CssNode): Place {
  if (node.type === 'Percentage') return { percent: Number(node.value), px: 0 };
  if (node.type === 'Dimension' && node.unit === 'px') return { percent: 0, px: Number(node.value) };
  if (node.type === 'Number' && Number(node.value) === 0) return { percent: 0, px: 0 };
  if (node.type === 'Function' && node.name === 'calc') return sumOf(parts(node));
  const said =
    node.type === 'Dimension' ? node.value + node.unit : 'name' in node ? String(node.name) : node.type;
  throw new Error(`“${said}” is not a length in px or %`);
}

function sumOf(nodes: readonly CssNode[]): Place {
  const sum = { percent: 0, px: 0 };
  let sign = 1;
  for (const node of nodes) {
    if (node.type === 'Operator') {
      sign = node.value.trim() === '-' ? -1 : 1;
      continue;
    }
    const { percent: share, px } = placeOf(node);
    sum.percent += sign * share;
    sum.px += sign * px;
  }
  return sum;
}

const KEYWORDS = ['left', 'right', 'top', 'bottom', 'center'] as const;
type Keyword = (typeof KEYWORDS)[number];
const keywordOf = (node: CssNode): Keyword | null =>
  node.type === 'Identifier' ? (KEYWORDS.find((k) => k === node.name) ?? null) : null;

/** One part of a position: a keyword, a place, or both: so far in from the edge that is named. */
interface Group {
  keyword: Keyword | null;
  offset: Place | null;
}

/** Offsets belong to keywords only where a position has more than two parts. */
function groupsOf(nodes: readonly CssNode[]): Group[] {
  const groups: Group[] = [];
  for (const node of nodes) {
    const keyword = keywordOf(node);
    const last = groups.at(-1);
    if (keyword) groups.push({ keyword, offset: null });
    else if (nodes.length > 2 && last?.keyword && last.keyword !== 'center' && !last.offset)
      last.offset = placeOf(node);
    else groups.push({ keyword: null, offset: placeOf(node) });
  }
  return groups;
}

const axisOf = ({ keyword }: Group) => {
  if (keyword === 'left' || keyword === 'right') return 'x';
  return keyword === 'top' || keyword === 'bottom' ? 'y' : null;
};

/** An offset from the far edge is taken off 100 %: `right 5%` is 95 %, not 5 % of the box before its end. */
function positionOf({ keyword, offset }: Group): AxisPosition {
  const { percent: share, px } = offset ?? { percent: 0, px: 0 };
  if (keyword === 'center') return { percent: 50, offset: lu(0) };
  if (keyword === 'right' || keyword === 'bottom') return { percent: 100 - share, offset: lu(0 - px) };
  return { percent: share, offset: lu(px) };
}

const CENTRE: Group = { keyword: 'center', offset: null };

/** Whether parts make a position: one for each axis, in either order where keywords name it. */
function isPosition(nodes: readonly CssNode[], groups: readonly Group[]): boolean {
  if (nodes.length < 1 || nodes.length > 4 || groups.length > 2) return false;
  const [a, b] = groups.map(axisOf);
  if (groups.length === 2 && a !== null && a === b) return false;
  // Without keywords the first part is across: “top 10%” and “10% left” name the other way round.
  const plain = groups.length === 2 && groups.some((g) => g.keyword === null);
  if (plain) return nodes.length === 2 && a !== 'y' && b !== 'x';
  return nodes.length <= 2 || groups.length === 2;
}

/**
 * One to four parts, keywords in either order.
 * Sources: CSS Values 4 §9 (position), CSS Backgrounds 3 §3.6 (three parts).
 * @throws naming what is no position
 */
export function cssPosition(text: string): Align {
  const nodes = parts(parse(text, { context: 'value' }));
  const groups = groupsOf(nodes);
  if (!isPosition(nodes, groups)) throw new Error(`“${text}” is not a position`);
  const [a = CENTRE, b = CENTRE] = groups;
  const swapped = axisOf(a) === 'y' || axisOf(b) === 'x';
  const [x, y] = swapped ? [b, a] : [a, b];
  return { kind: 'position', x: positionOf(x), y: positionOf(y) };
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
