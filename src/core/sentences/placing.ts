import { possessive } from '../words/words';
import type { Axis } from '../geometry/rect';
import type { AxisRule, Bound, Edge, Extent, Placing, Ratio, Region } from '../placing/rule';
import { sameJson } from '../patch/patch';
import { isPercent, isZero } from '../values/values';
import { joined, sentenceText, type Part, type Path, type Token } from './parts';
import {
  articleOf,
  AXIS_WORDS,
  axisWords,
  sayBasis,
  sayLengthOf,
  sayRatioOf,
  sayRegion,
  type Names,
} from './words';

type Pinned = Extract<AxisRule, { kind: 'edges' }>;
type Middle = Extract<AxisRule, { kind: 'middle' }>;
type Sized = Exclude<AxisRule, Pinned>;

const AXES = ['x', 'y'] as const;
const placingPath = ({ base = [] }: Names): Path => [...base, 'placing'];
const at = (names: Names, axis: Axis, ...path: Path): Path => [...placingPath(names), axis, ...path];

/** “the safe area”, “Emblem” */
const theRegion = (region: Region, names: Names) => `${articleOf(region, names)}${sayRegion(region, names)}`;

const regionPart = (value: Region, paths: Path[], names: Names): Part => ({
  text: sayRegion(value, names),
  paths,
  editable: { kind: 'region', value },
});

/** All four edges pinned alike. */
function allEdges(edge: Edge, names: Names): Token[] {
  const paths = (key: 'offset' | 'region') =>
    AXES.flatMap((a) => [at(names, a, 'start', key), at(names, a, 'end', key)]);
  const distance: Part = {
    text: sayLengthOf(edge.offset, names),
    paths: paths('offset'),
    editable: {
      kind: 'edges',
      value: edge.offset,
      label: 'Distance from all four edges, inwards',
      percentOf: theRegion(edge.region, names),
      placing: placingPath(names),
    },
  };
  return [
    'pinned ',
    distance,
    ` from all four edges of ${articleOf(edge.region, names)}`,
    regionPart(edge.region, paths('region'), names),
  ];
}

/** How far an edge is from what it is measured from. */
const offsetPart = (value: Edge, paths: Path[], label: string, axis: Axis, names: Names): Part => ({
  text: sayLengthOf(value.offset, names),
  paths,
  editable: {
    kind: 'edge',
    value: value.offset,
    label,
    percentOf: theRegion(value.region, names),
    axis,
    placing: placingPath(names),
  },
});

/** “**12** below **Emblem**”, “**32** from the top of the **safe area**” */
function edge(value: Edge, own: 'start' | 'end', axis: Axis, path: Path, names: Names): Token[] {
  const words = axisWords(axis, names);
  const side = value.side ?? own;
  const opposite = side !== own;
  const label = opposite
    ? `Gap ${side === 'end' ? words.after : words.before} it`
    : `Distance from the ${words[side]}, inwards`;
  const offset = offsetPart(value, [[...path, 'offset']], label, axis, names);
  const region = regionPart(value.region, [[...path, 'region']], names);
  if (!opposite) return [offset, ` from the ${words[side]} of ${articleOf(value.region, names)}`, region];
  return [
    offset,
    ` ${side === 'end' ? words.after : words.before} ${articleOf(value.region, names)}`,
    region,
  ];
}

/** Both edges of one axis pinned alike: “**0** from the left and right of **Form**” */
function bothEdges(value: Edge, axis: Axis, names: Names): Token[] {
  const { start, end } = AXIS_WORDS[axis];
  const paths = (key: 'offset' | 'region') => [at(names, axis, 'start', key), at(names, axis, 'end', key)];
  const label = `Distance from the ${start} and ${end}, inwards`;
  const offset = offsetPart(value, paths('offset'), label, axis, names);
  return [
    offset,
    ` from the ${start} and ${end} of ${articleOf(value.region, names)}`,
    regionPart(value.region, paths('region'), names),
  ];
}

function pinnedAlong(rule: Pinned, axis: Axis, names: Names): Token[] {
  if (sameJson(rule.start, rule.end) && !rule.start.side) return bothEdges(rule.start, axis, names);
  const words = axisWords(axis, names);
  return [
    `${words.start} edge `,
    ...edge(rule.start, 'start', axis, at(names, axis, 'start'), names),
    `, ${words.end} edge `,
    ...edge(rule.end, 'end', axis, at(names, axis, 'end'), names),
  ];
}

const bound = (b: Bound | undefined, word: string, axis: Axis, names: Names): string => {
  if (!b) return '';
  const share = isPercent(b.length);
  return `, at ${word} ${sayLengthOf(b.length, names)}${share ? ` of ${sayBasis(b.of, axis, names)}` : ''}`;
};

function sayExtent(extent: Extent, axis: Axis, names: Names): string {
  const words = axisWords(axis, names);
  switch (extent.kind) {
    case 'natural':
      return `natural ${words.extent}`;
    case 'from-ratio':
      return `${words.extent} from its shape`;
    case 'hug':
      return `as ${words.size} as what it holds`;
    case 'length':
      return sayExtentLength(extent, axis, names);
  }
}

const extentWords = (extent: Extent, axis: Axis, names: Names): string =>
  sayExtent(extent, axis, names) +
  bound(extent.min, 'least', axis, names) +
  bound(extent.max, 'most', axis, names);

function sayExtentLength(extent: Extract<Extent, { kind: 'length' }>, axis: Axis, names: Names): string {
  const length = sayLengthOf(extent.length, names);
  const share = isPercent(extent.length);
  return share ? `${length} of ${sayBasis(extent.of, axis, names)}` : `${length} ${AXIS_WORDS[axis].size}`;
}

/** The size along one axis: one part, with its bounds. Nothing where it simply follows from the shape. */
function extentPart(rule: Sized, axis: Axis, names: Names): Token[] {
  const { extent } = rule;
  if (extent.kind === 'from-ratio' && !extent.min && !extent.max) return [];
  return [
    {
      text: extentWords(extent, axis, names),
      paths: [at(names, axis, 'extent')],
      editable: { kind: 'extent', value: extent, axis },
    },
  ];
}

/** “centred across”, “**6 %** above centre” */
function shiftPart(rule: Middle, axis: Axis, names: Names): Part {
  const words = axisWords(axis, names);
  const { shift } = rule;
  const paths = [at(names, axis, 'shift')];
  const percentOf = `${articleOf(rule.region, names)}${possessive(sayRegion(rule.region, names))} ${words.extent}`;
  const label = axis === 'x' ? `To the ${words.end} of centre` : 'Below centre';
  const placing = placingPath(names);
  const editable = { kind: 'shift', value: shift, label, axis, percentOf, placing } as const;
  if (isZero(shift)) return { text: `centred ${words.along}`, paths, editable };
  if ('named' in shift)
    return { text: `${sayLengthOf(shift, names)} ${words.after} centre`, paths, editable };
  const size = sayLengthOf({ ...shift, value: Math.abs(shift.value) }, names);
  return { text: `${size} ${shift.value < 0 ? words.before : words.after} centre`, paths, editable };
}

function positionAlong(rule: Sized, axis: Axis, names: Names): Token[] {
  if (rule.kind === 'middle') {
    const region = regionPart(rule.region, [at(names, axis, 'region')], names);
    return [shiftPart(rule, axis, names), ` in ${articleOf(rule.region, names)}`, region];
  }
  const words = axisWords(axis, names);
  return [`${words[rule.kind]} edge `, ...edge(rule.edge, rule.kind, axis, at(names, axis, 'edge'), names)];
}

/** Both axes in the middle of one region, which is then named once. */
function middleOfOne(x: Middle, y: Middle, names: Names): Token[] {
  const paths = [at(names, 'x', 'region'), at(names, 'y', 'region')];
  const [across, down] = [shiftPart(x, 'x', names), shiftPart(y, 'y', names)];
  const both: Token[] =
    isZero(x.shift) && isZero(y.shift)
      ? ['centred ', { ...across, text: AXIS_WORDS.x.along }, ' and ', { ...down, text: AXIS_WORDS.y.along }]
      : [across, ', ', down];
  return [...both, ` in ${articleOf(x.region, names)}`, regionPart(x.region, paths, names)];
}

function positions({ x, y }: Placing, names: Names): Token[][] {
  if (x.kind === 'middle' && y.kind === 'middle' && x.region === y.region) return [middleOfOne(x, y, names)];
  return AXES.map((axis) => {
    const rule = axis === 'x' ? x : y;
    return rule.kind === 'edges' ? pinnedAlong(rule, axis, names) : positionAlong(rule, axis, names);
  });
}

const sayShape = ({ value, strict }: Ratio) => {
  const kept = value === 'own' ? 'keeps its shape' : `shaped ${sayRatioOf(value)}`;
  return strict ? kept : `${kept} unless a bound asks otherwise`;
};

function shape({ ratio }: Placing, names: Names): Token[] {
  if (!ratio) return [];
  const paths = [[...placingPath(names), 'ratio']];
  return [{ text: sayShape(ratio), paths, editable: { kind: 'ratio', value: ratio } }];
}

/** A layer’s placing in words: sizes first, then the shape, then where it lies. */
export function placingTokens(placing: Placing, names: Names): Token[] {
  const { x, y } = placing;
  if (x.kind === 'edges' && y.kind === 'edges') {
    const alike = [x.end, y.start, y.end].every((e) => sameJson(e, x.start)) && !x.start.side;
    if (alike) return allEdges(x.start, names);
  }
  const sizes = AXES.map((axis) => {
    const rule = placing[axis];
    return rule.kind === 'edges' ? [] : extentPart(rule, axis, names);
  });
  return joined([...sizes, shape(placing, names), ...positions(placing, names)]);
}

/** One thing that a placing rules along an axis, in words. */
export interface Ruled {
  what: 'extent' | 'start' | 'end' | 'middle';
  words: string;
}

/** What a placing says along an axis: its size, and what holds it where. */
export function ruledAlong(placing: Placing, axis: Axis, names: Names): Ruled[] {
  const rule = placing[axis];
  const path = at(names, axis);
  const held = (value: Edge, own: 'start' | 'end'): Ruled => ({
    what: own,
    words: sentenceText(edge(value, own, axis, path, names)),
  });
  if (rule.kind === 'edges') return [held(rule.start, 'start'), held(rule.end, 'end')];
  const extent: Ruled = { what: 'extent', words: extentWords(rule.extent, axis, names) };
  if (rule.kind === 'middle')
    return [extent, { what: 'middle', words: sentenceText(positionAlong(rule, axis, names)) }];
  return [extent, held(rule.edge, rule.kind)];
}
