import { possessive } from '../words/words';
import { sayNumber } from '../words/numbers';
import { extent as extentOf, span, type Axis } from '../geometry/rect';
import type { Basis, Edge, Extent, Region } from '../placing/rule';
import { other } from '../placing/sizes';
import { isPlaced } from '../scene/scene';
import { isPercent, isZero, type Length } from '../values/values';
import { worked } from '../words/worked';
import {
  AXIS_WORDS,
  axisWords,
  articleOf,
  sayBasis,
  sayLengthOf,
  sayRatioOf,
  sayRegion,
  seenBy,
} from '../sentences/words';
import { askedLayer, rulePath, sideAt, type AskedLayer, type Context } from './context';
import { whyNatural } from './natural';
import { reason, type Reason } from './reason';
import { whyBars, whyInset, whyScreen } from './screen';

type End = 'start' | 'end';

/** More steps than this are not followed through layers that lean on one another. */
const DEEPEST = 6;

const nameOf = ({ names }: Context, { layer }: AskedLayer) => seenBy(layer, names);

const theRegion = (context: Context, asked: AskedLayer, region: Region) => {
  const names = nameOf(context, asked);
  return `${articleOf(region, names)}${sayRegion(region, names)}`;
};

const partAt = (context: Context, { layer }: AskedLayer, ...path: (string | number)[]) => ({
  layerId: layer.id,
  path: [...rulePath(context, layer.id), 'placing', ...path],
});

/** Where a place lies, from the side of the screen that the axis starts at. */
const at = (context: Context, axis: Axis, value: number) =>
  `${sayNumber(value)} from the screen’s ${sideAt(context, axis, 'start')}`;

/** A share of a basis and what it comes to: “30 % of the screen’s width, which is 411.4 here, gives 123.4”. */
function sayShareOf(length: Length, basis: number, basisWords: string): string {
  const value = 'named' in length ? 0 : length.value;
  const { given, result } = worked([value, basis], (percent, of) => (percent / 100) * of);
  return `${given[0]} % of ${basisWords}, which is ${given[1]} here, gives ${result}`;
}

/** An offset as its rule has it; of a share also what it comes to: “5 % of 359, which is 18,”. */
function sayOffset(context: Context, asked: AskedLayer, offset: Length, along: number): string {
  if (!isPercent(offset) || isZero(offset)) return sayLengthOf(offset, nameOf(context, asked));
  const { given, result } = worked(['named' in offset ? 0 : offset.value, along], (p, of) => (p / 100) * of);
  return `${given[0]} % of ${given[1]}, which is ${result},`;
}

/** Where one side of a region comes from. */
function whyRegionSide(
  context: Context,
  asked: AskedLayer,
  region: Region,
  axis: Axis,
  end: End,
  depth: number,
): Reason[] {
  const side = sideAt(context, axis, end);
  if (region === 'screen') return end === 'end' ? [whyScreen(context, axis)] : [];
  if (region === 'safe') return [whyInset(context, side)];
  if (region === 'content') return whyBars(context, side);
  if (region === 'margins') {
    // In the right-to-left preview the margin of the other side is drawn here.
    const ruled = axis === 'x' ? (end === 'start' ? 'left' : 'right') : side;
    const margin = sayLengthOf(context.input.scene.margin[ruled], context.names);
    const words = `The margins lie ${margin} inside the safe area at the ${side}.`;
    return [reason(words, [], { part: { layerId: null, path: ['margin', ruled] } }), whyInset(context, side)];
  }
  if (region === 'parent') return whyHolderSide(context, asked, axis, end, depth);
  const leaned = askedLayer(context, region.slice('layer:'.length));
  return [whyEdge(context, leaned, axis, end, depth + 1)];
}

function whyHolderSide(context: Context, asked: AskedLayer, axis: Axis, end: End, depth: number): Reason[] {
  if (asked.layer.parent === undefined) return [];
  const panel = askedLayer(context, asked.layer.parent);
  const side = sideAt(context, axis, end);
  const padding = panel.placeable.padding?.[side] ?? 0;
  const words = `${panel.layer.name} has a padding of ${sayNumber(padding)} at the ${side}.`;
  const part = { layerId: panel.layer.id, path: ['padding', side] };
  return [reason(words, [], { part }), whyEdge(context, panel, axis, end, depth + 1)];
}

function whyPinned(
  context: Context,
  asked: AskedLayer,
  edge: Edge,
  axis: Axis,
  own: End,
  path: string[],
  depth: number,
): Reason {
  const { resolver } = context.prepared.laid();
  const place = resolver.edgeAt(asked.placeable, edge, own, axis);
  const from = edge.side ?? own;
  const words = axisWords(axis, context.names);
  const along = resolver.region(asked.placeable, edge.region, axis);
  const offset = sayOffset(context, asked, edge.offset, along.end - along.start);
  const region = theRegion(context, asked, edge.region);
  const measured =
    from === own
      ? `${offset} from the ${sideAt(context, axis, from)} of ${region}`
      : `${offset} ${from === 'end' ? words.after : words.before} ${region}`;
  return reason(
    `The ${sideAt(context, axis, own)} edge of ${possessive(asked.layer.name)} box lies ${at(context, axis, place)}: ${measured}.`,
    whyRegionSide(context, asked, edge.region, axis, from, depth),
    { part: partAt(context, asked, axis, ...path, 'region') },
  );
}

/** A middle that is not the middle of the safe area says so: that is what the eye compares with. */
function besideSafe(context: Context, region: Region, axis: Axis, middle: number): string {
  if (region === 'safe') return '';
  const safe = span(context.prepared.regions.safe, axis);
  const mirrored = context.input.scene.direction === 'rtl' && axis === 'x';
  const centre = (safe.start + safe.end) / 2;
  const off = (mirrored ? context.prepared.regions.screen.width - centre : centre) - middle;
  if (Math.abs(off) < 0.05) return '';
  const towards = sideAt(context, axis, off > 0 ? 'end' : 'start');
  return ` The middle of the safe area lies ${sayNumber(Math.abs(off))} further to the ${towards}.`;
}

function whyMiddle(context: Context, asked: AskedLayer, axis: Axis, end: End, depth: number): Reason {
  const rule = asked.layer.placing[axis];
  if (rule.kind !== 'middle') throw new Error('Only a rule by the middle has one.');
  const region = context.prepared.laid().resolver.region(asked.placeable, rule.region, axis);
  const centre = (region.start + region.end) / 2;
  const insets = (['start', 'end'] as const).flatMap((e) =>
    whyRegionSide(context, asked, rule.region, axis, e, depth),
  );
  const shifted = sayOffset(context, asked, rule.shift, region.end - region.start);
  const shift = isZero(rule.shift) ? '' : `, shifted by ${shifted}`;
  const words = `${asked.layer.name} is centred ${AXIS_WORDS[axis].along} in ${theRegion(context, asked, rule.region)}, whose middle lies ${at(context, axis, centre)}${shift}.`;
  const beside = besideSafe(context, rule.region, axis, centre);
  const safe =
    beside && rule.region !== 'safe'
      ? (['start', 'end'] as const).map((e) => whyInset(context, sideAt(context, axis, e)))
      : [];
  const half = reason(
    `Half of its ${AXIS_WORDS[axis].extent} lies to each side of that; this is its ${sideAt(context, axis, end)} edge.`,
    [whyExtent(context, asked, axis, depth)],
  );
  return reason(words + beside, [...insets, ...safe, half], { part: partAt(context, asked, axis, 'region') });
}

/** Why one edge of a layer’s box lies where it does. */
export function whyEdge(context: Context, asked: AskedLayer, axis: Axis, end: End, depth = 0): Reason {
  const rule = asked.layer.placing[axis];
  const side = sideAt(context, axis, end);
  if (depth > DEEPEST) return reason(`The ${side} edge of ${asked.layer.name} follows from more layers.`);
  if (rule.kind === 'edges') return whyPinned(context, asked, rule[end], axis, end, [end], depth);
  if (rule.kind === 'middle') return whyMiddle(context, asked, axis, end, depth);
  const pinned = whyPinned(context, asked, rule.edge, axis, rule.kind, ['edge'], depth);
  if (rule.kind === end) return pinned;
  return reason(
    `The ${side} edge of ${asked.layer.name} lies its ${AXIS_WORDS[axis].extent} away from the other one.`,
    [pinned, whyExtent(context, asked, axis, depth)],
  );
}

function whyBasis(
  context: Context,
  asked: AskedLayer,
  of: Basis | undefined,
  axis: Axis,
  depth: number,
): Reason[] {
  const { width, height } = context.prepared.regions.screen;
  if (of === 'short') return [whyScreen(context, width <= height ? 'x' : 'y')];
  if (of === 'long') return [whyScreen(context, width > height ? 'x' : 'y')];
  const region = of ?? 'screen';
  if (region.startsWith('layer:'))
    return [whyExtent(context, askedLayer(context, region.slice('layer:'.length)), axis, depth + 1)];
  const ends = (['start', 'end'] as const).flatMap((end) =>
    whyRegionSide(context, asked, region, axis, end, depth),
  );
  return region === 'screen' ? ends : [...ends, whyScreen(context, axis)];
}

/** Which bound decides, in words; or that nothing bounds a share. */
function sayBounds(
  context: Context,
  asked: AskedLayer,
  extent: Extent,
  axis: Axis,
  own: number | null,
): string {
  const { low, high } = context.prepared.laid().resolver.sizes.limits(asked.placeable, axis);
  if (own === null) return '';
  if (own > high && high >= low) return ` It is held to its upper bound, ${sayNumber(high)}.`;
  if (own < low) return ` It is held to its lower bound, ${sayNumber(low)}.`;
  const share = extent.kind === 'length' && isPercent(extent.length);
  return share && high === Infinity ? ' Nothing bounds it above.' : '';
}

function whyLength(context: Context, asked: AskedLayer, axis: Axis, depth: number): Reason {
  const rule = asked.layer.placing[axis];
  if (rule.kind === 'edges' || rule.extent.kind !== 'length') throw new Error('Only a length has one.');
  const { extent } = rule;
  const { resolver } = context.prepared.laid();
  const own = resolver.sizes.own(asked.placeable, axis);
  const said = sayLengthOf(extent.length, nameOf(context, asked));
  const share = isPercent(extent.length);
  const word = AXIS_WORDS[axis].extent;
  const bounds = sayBounds(context, asked, extent, axis, own);
  const named = 'named' in extent.length ? `, which is ${sayNumber(own ?? 0)} here` : '';
  const rulesOut = share
    ? sayShareOf(
        extent.length,
        resolver.basis(asked.placeable, extent.of, axis),
        sayBasis(extent.of, axis, nameOf(context, asked)),
      )
    : `${said}${named}, as its rule says`;
  return reason(
    `The ${word} of ${asked.layer.name}: ${rulesOut}.${bounds}`,
    share ? whyBasis(context, asked, extent.of, axis, depth) : [],
    { part: partAt(context, asked, axis, 'extent') },
  );
}

function whyHug(context: Context, asked: AskedLayer, axis: Axis, depth: number): Reason {
  const word = AXIS_WORDS[axis].extent;
  const { name, id } = asked.layer;
  const part = partAt(context, asked, axis, 'extent');
  const held = context.prepared.layers.filter((l) => isPlaced(l) && l.parent === id && l.visible);
  const sized = held.filter((l) => extentOf(context.prepared.laid().boxOf(l.id), axis) > 0);
  if (sized.length === 0) {
    const why = held.length === 0 ? 'it holds no visible layer' : `nothing that it holds has a ${word}`;
    return reason(`${name} hugs what it holds, and ${why}: its ${word} is 0, so nothing of it is seen.`, [], {
      part,
    });
  }
  return reason(
    `${name} is as ${AXIS_WORDS[axis].size} as what it holds, with its padding.`,
    sized.map((l) => whyExtent(context, askedLayer(context, l.id), axis, depth + 1)),
    { part },
  );
}

/** Why a layer’s box is as wide or as high as it is. */
export function whyExtent(context: Context, asked: AskedLayer, axis: Axis, depth = 0): Reason {
  const rule = asked.layer.placing[axis];
  const word = AXIS_WORDS[axis].extent;
  const { name, placing } = asked.layer;
  if (depth > DEEPEST) return reason(`The ${word} of ${name} follows from more layers.`);
  const size = sayNumber(extentOf(context.prepared.laid().boxOf(asked.layer.id), axis));
  if (rule.kind === 'edges') {
    const ends = (['start', 'end'] as const).map((end) => whyEdge(context, asked, axis, end, depth + 1));
    return reason(`The ${word} of ${name}, ${size}, lies between its two pinned edges.`, ends);
  }
  const { extent } = rule;
  if (extent.kind === 'length') return whyLength(context, asked, axis, depth);
  if (extent.kind === 'hug') return whyHug(context, asked, axis, depth);
  const bounds = sayBounds(
    context,
    asked,
    extent,
    axis,
    context.prepared.laid().resolver.sizes.own(asked.placeable, axis),
  );
  if (extent.kind === 'natural')
    return reason(`The ${word} of ${name} is its natural one.${bounds}`, [whyNatural(context, asked, axis)], {
      part: partAt(context, asked, axis, 'extent'),
    });
  const value = placing.ratio?.value;
  const shape = value === undefined || value === 'own' ? 'its own shape' : `the shape ${sayRatioOf(value)}`;
  return reason(
    `The ${word} of ${name}, ${size}, follows from its ${AXIS_WORDS[other(axis)].extent} by ${shape}.${bounds}`,
    [whyExtent(context, asked, other(axis), depth + 1)],
    { part: partAt(context, asked, 'ratio') },
  );
}
