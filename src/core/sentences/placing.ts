import type { Axis } from '../geometry/rect';
import type { AxisRule, Bound, Edge, Extent, Placing, Region } from '../placing/rule';
import { sameJson } from '../scene/patch';
import type { Length } from '../scene/values';
import type { Part, Path, Token } from './parts';
import { articleOf, AXIS_WORDS, sayBasis, sayLengthOf, sayRegion, type Names } from './words';

type Pinned = Extract<AxisRule, { kind: 'edges' }>;
type Middle = Extract<AxisRule, { kind: 'middle' }>;
type Sized = Exclude<AxisRule, Pinned>;

const AXES = ['x', 'y'] as const;
const at = ({ base = [] }: Names, axis: Axis, ...path: Path): Path => [...base, 'placing', axis, ...path];

const lengthPart = (value: Length, paths: Path[], label: string, percentOf: string, names: Names): Part => ({
  text: sayLengthOf(value, names),
  paths,
  editable: { kind: 'length', value, label, percentOf },
});

const regionPart = (value: Region, paths: Path[], names: Names): Part => ({
  text: sayRegion(value, names),
  paths,
  editable: { kind: 'region', value },
});

/** All four edges pinned alike. */
function allEdges(edge: Edge, names: Names): Token[] {
  const paths = (key: 'offset' | 'region') =>
    AXES.flatMap((a) => [at(names, a, 'start', key), at(names, a, 'end', key)]);
  const percentOf = `${articleOf(edge.region)}${sayRegion(edge.region, names)}`;
  return [
    'pinned ',
    lengthPart(edge.offset, paths('offset'), 'Distance from all four edges, inwards', percentOf, names),
    ` from all four edges of ${articleOf(edge.region)}`,
    regionPart(edge.region, paths('region'), names),
  ];
}

/** “**12** below **Emblem**”, “**32** from the top of the **safe area**” */
function edge(value: Edge, own: 'start' | 'end', axis: Axis, path: Path, names: Names): Token[] {
  const words = AXIS_WORDS[axis];
  const side = value.side ?? own;
  const opposite = side !== own;
  const label = opposite
    ? `Gap ${side === 'end' ? words.after : words.before} it`
    : `Distance from the ${words[side]}, inwards`;
  const percentOf = `${articleOf(value.region)}${sayRegion(value.region, names)}`;
  const offset = lengthPart(value.offset, [[...path, 'offset']], label, percentOf, names);
  const region = regionPart(value.region, [[...path, 'region']], names);
  if (!opposite) return [offset, ` from the ${words[side]} of ${articleOf(value.region)}`, region];
  return [offset, ` ${side === 'end' ? words.after : words.before} ${articleOf(value.region)}`, region];
}

function pinnedAlong(rule: Pinned, axis: Axis, names: Names): Token[] {
  const words = AXIS_WORDS[axis];
  return [
    `${words.start} edge `,
    ...edge(rule.start, 'start', axis, at(names, axis, 'start'), names),
    `, ${words.end} edge `,
    ...edge(rule.end, 'end', axis, at(names, axis, 'end'), names),
  ];
}

const bound = (b: Bound | undefined, word: string, axis: Axis, names: Names): string => {
  if (!b) return '';
  const share = !('named' in b.length) && b.length.unit === '%';
  return `, at ${word} ${sayLengthOf(b.length, names)}${share ? ` of ${sayBasis(b.of, axis, names)}` : ''}`;
};

function extentWords(extent: Extent, axis: Axis, names: Names): string {
  const words = AXIS_WORDS[axis];
  const size =
    extent.kind === 'natural'
      ? `natural ${words.extent}`
      : extent.kind === 'from-ratio'
        ? `${words.extent} from its shape`
        : sayExtentLength(extent, axis, names);
  return size + bound(extent.min, 'least', axis, names) + bound(extent.max, 'most', axis, names);
}

function sayExtentLength(extent: Extract<Extent, { kind: 'length' }>, axis: Axis, names: Names): string {
  const length = sayLengthOf(extent.length, names);
  const share = !('named' in extent.length) && extent.length.unit === '%';
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

const isZero = (length: Length) => !('named' in length) && length.value === 0;

/** “centred across”, “**6 %** above centre” */
function shiftPart(rule: Middle, axis: Axis, names: Names): Part {
  const words = AXIS_WORDS[axis];
  const { shift } = rule;
  const paths = [at(names, axis, 'shift')];
  const percentOf = `${articleOf(rule.region)}${sayRegion(rule.region, names)}’s ${words.extent}`;
  const editable = { kind: 'shift', value: shift, axis, percentOf } as const;
  if (isZero(shift)) return { text: `centred ${words.along}`, paths, editable };
  if ('named' in shift)
    return { text: `${sayLengthOf(shift, names)} ${words.after} centre`, paths, editable };
  const size = sayLengthOf({ ...shift, value: Math.abs(shift.value) }, names);
  return { text: `${size} ${shift.value < 0 ? words.before : words.after} centre`, paths, editable };
}

function positionAlong(rule: Sized, axis: Axis, names: Names): Token[] {
  if (rule.kind === 'middle') {
    const region = regionPart(rule.region, [at(names, axis, 'region')], names);
    return [shiftPart(rule, axis, names), ` in ${articleOf(rule.region)}`, region];
  }
  const words = AXIS_WORDS[axis];
  return [`${words[rule.kind]} edge `, ...edge(rule.edge, rule.kind, axis, at(names, axis, 'edge'), names)];
}

/** Both axes in the middle of one region, which is then named once. */
function middleOfOne(x: Middle, y: Middle, names: Names): Token[] {
  const paths = [at(names, 'x', 'region'), at(names, 'y', 'region')];
  return [
    shiftPart(x, 'x', names),
    ', ',
    shiftPart(y, 'y', names),
    ` in ${articleOf(x.region)}`,
    regionPart(x.region, paths, names),
  ];
}

function positions({ x, y }: Placing, names: Names): Token[][] {
  if (x.kind === 'middle' && y.kind === 'middle' && x.region === y.region) return [middleOfOne(x, y, names)];
  return AXES.map((axis) => {
    const rule = axis === 'x' ? x : y;
    return rule.kind === 'edges' ? pinnedAlong(rule, axis, names) : positionAlong(rule, axis, names);
  });
}

function shape({ ratio, x, y }: Placing): Token[] {
  if (!ratio) return [];
  const follows = [x, y].some((r) => r.kind !== 'edges' && r.extent.kind === 'from-ratio');
  if (!follows && ratio.value === 'own') return [];
  const kept =
    ratio.value === 'own' ? 'keeps its shape' : `shaped ${Math.round(ratio.value * 1000) / 1000} : 1`;
  return [ratio.strict ? kept : `${kept} unless a bound asks otherwise`];
}

/** Puts commas between the clauses that say something. */
export function joined(clauses: readonly (readonly Token[])[]): Token[] {
  return clauses.filter((c) => c.length > 0).flatMap((c, i) => (i === 0 ? c : [', ', ...c]));
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
  return joined([...sizes, shape(placing), ...positions(placing, names)]);
}
