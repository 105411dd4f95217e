import { centreOf, extent, span, type Axis, type Rect } from '../geometry/rect';
import type { AxisRule, Region } from '../placing/rule';
import type { PictureLayer } from '../scene/scene';
import type { Regions } from '../screens/regions';
import { REGION_WORDS } from '../sentences/words';
import { isZero, type Length } from '../values/values';
import { sayNumber } from '../words/numbers';

/** Less than anybody sees, lu. */
const HAIR = 0.25;

/** A picture on a case: where its rule puts it, where the window draws it, and what either measures from. */
export interface DrawnElsewhere {
  asked: Rect;
  is: Rect;
  regions: Regions;
}

export const isFullBleed = ({ placing: { x, y } }: Pick<PictureLayer, 'placing'>): boolean =>
  x.kind === 'edges' && y.kind === 'edges';

export const sayDropped = (list: readonly string[]): string =>
  `${list.join(', ')} ${list.length > 1 ? 'are' : 'is'} dropped`;

const sayTyped = (length: Length) =>
  'named' in length ? 'a named length' : `${sayNumber(length.value)} ${length.unit}`;

const SIDE_WORDS = { x: { start: 'left', end: 'right' }, y: { start: 'top', end: 'bottom' } } as const;
const AXIS_NOUNS = { x: 'width', y: 'height' } as const;
const AXES: readonly Axis[] = ['x', 'y'];

/** Whether a size that is ruled is another one than the window draws; without a case any that is ruled may be. */
const isOtherSize = (axis: Axis, rule: AxisRule, on: DrawnElsewhere | null): boolean =>
  on
    ? Math.abs(extent(on.asked, axis) - extent(on.is, axis)) > HAIR
    : rule.kind === 'edges' || rule.extent.kind !== 'natural';

/** What a rule says along an axis that a flat window does not know, each in a few words. */
function droppedAlong(axis: Axis, rule: AxisRule, on: DrawnElsewhere | null): string[] {
  const size = isOtherSize(axis, rule, on) ? [`its ${AXIS_NOUNS[axis]}`] : [];
  if (rule.kind === 'middle')
    return isZero(rule.shift) ? size : [...size, `the shift of its middle by ${sayTyped(rule.shift)}`];
  if (rule.kind === 'edges') return size;
  const { offset } = rule.edge;
  const side = SIDE_WORDS[axis][rule.kind];
  return isZero(offset) ? size : [...size, `its distance of ${sayTyped(offset)} from the ${side}`];
}

/** The regions that a rule measures from along an axis. */
const regionsOf = (rule: AxisRule): Region[] =>
  rule.kind === 'edges'
    ? [rule.start.region, rule.end.region]
    : [rule.kind === 'middle' ? rule.region : rule.edge.region];

/** Whether a region lies elsewhere than the whole screen where a rule takes hold of it. */
function isElsewhere(region: Region, rule: AxisRule, axis: Axis, regions: Regions): boolean {
  if (region === 'screen') return false;
  // What another layer takes hold of is no part of the screen’s own.
  if (region !== 'safe' && region !== 'content' && region !== 'margins') return true;
  const [own, whole] = [regions[region], regions.screen];
  if (rule.kind === 'middle') return Math.abs(centreOf(own)[axis] - centreOf(whole)[axis]) > HAIR;
  const [a, b] = [span(own, axis), span(whole, axis)];
  const [start, end] = [Math.abs(a.start - b.start) > HAIR, Math.abs(a.end - b.end) > HAIR];
  return rule.kind === 'edges' ? start || end : rule.kind === 'start' ? start : end;
}

const sayPlainRegion = (region: Region): string =>
  region.startsWith('layer:') ? 'another layer' : `the ${REGION_WORDS[region as keyof typeof REGION_WORDS]}`;

/** That rules measure from somewhere else than the window does, where that is seen on a case; `null` where it is not. */
function measuredElsewhere(
  { placing }: Pick<PictureLayer, 'placing'>,
  { regions }: DrawnElsewhere,
): string | null {
  const others = AXES.flatMap((axis) =>
    regionsOf(placing[axis]).filter((r) => isElsewhere(r, placing[axis], axis, regions)),
  );
  const [region] = others;
  return region === undefined
    ? null
    : `it is measured from the whole screen, and its rule measures from ${sayPlainRegion(region)}`;
}

/**
 * What a flat window leaves out of how a picture is placed.
 * @param on a case on which it lies elsewhere: only what is seen there is blamed; all that may be blamed when `null`
 */
export function placingDropped(layer: PictureLayer, on: DrawnElsewhere | null = null): string {
  if (isFullBleed(layer))
    return 'this window does not scale a picture in its shape: it is stretched over the whole screen';
  const list = [
    ...AXES.flatMap((axis) => droppedAlong(axis, layer.placing[axis], on)),
    ...(layer.when ? ['its rules that differ'] : []),
  ];
  const left = list.length > 0 ? `: ${sayDropped(list)}` : '';
  const measured = on && measuredElsewhere(layer, on);
  const plain =
    'this window draws a picture at its natural size, flush with a side of the screen or in its middle';
  return [`${plain}${left}`, measured].filter((w) => w !== null).join('; ');
}
