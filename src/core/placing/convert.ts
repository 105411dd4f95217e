import type { Axis } from '../geometry/rect';
import { lu, percent } from '../values/values';
import { withoutIdleShape, type AxisRule, type Edge, type Extent, type Placing, type Region } from './rule';
import { other } from './sizes';

/** By what a layer is held along an axis: both edges, one of them, or its middle. */
export type Hold = AxisRule['kind'];

const regionOf = (rule: AxisRule): Region => {
  if (rule.kind === 'middle') return rule.region;
  return rule.kind === 'edges' ? rule.start.region : rule.edge.region;
};

/** A size to begin with: the one there was, else what the shape gives, else half of the region. */
function extentFor(placing: Placing, axis: Axis): Extent {
  const rule = placing[axis];
  if (rule.kind !== 'edges') return rule.extent;
  const across = placing[other(axis)];
  const free = across.kind === 'edges' || across.extent.kind !== 'from-ratio';
  if (placing.ratio && free) return { kind: 'from-ratio' };
  return { kind: 'length', length: percent(50), of: regionOf(rule) };
}

/** The edge at a side that the rule has already, or one that touches the same region. */
function edgeFor(rule: AxisRule, side: 'start' | 'end'): Edge {
  if (rule.kind === 'edges') return rule[side];
  if (rule.kind === side) return rule.edge;
  return { region: regionOf(rule), offset: lu(0) };
}

function converted(placing: Placing, axis: Axis, hold: Hold): AxisRule {
  const rule = placing[axis];
  if (hold === 'edges') return { kind: hold, start: edgeFor(rule, 'start'), end: edgeFor(rule, 'end') };
  const extent = extentFor(placing, axis);
  if (hold === 'middle') return { kind: hold, region: regionOf(rule), shift: lu(0), extent };
  return { kind: hold, edge: edgeFor(rule, hold), extent };
}

/** Holds a placing otherwise along one axis: its region, and as much of the old rule as the new one has room for. */
export const heldBy = (placing: Placing, axis: Axis, hold: Hold): Placing =>
  placing[axis].kind === hold
    ? placing
    : withoutIdleShape({ ...placing, [axis]: converted(placing, axis, hold) });
