import type { Length } from '../values/values';
import type { AxisRule, Edge, Region } from './rule';

/** A rule with whatever it is measured from changed: its edges, or the region that it is in the middle of. */
export function mapMeasured(
  rule: AxisRule,
  edge: (e: Edge) => Edge,
  region: (r: Region) => Region,
): AxisRule {
  switch (rule.kind) {
    case 'edges':
      return { ...rule, start: edge(rule.start), end: edge(rule.end) };
    case 'middle':
      return { ...rule, region: region(rule.region) };
    default:
      return { ...rule, edge: edge(rule.edge) };
  }
}

/** Of a distance that says where a layer lies: which way it grows as the layer goes right or down, and what its % is of. */
export interface Distance {
  sign: 1 | -1;
  region: Region;
}

/** A rule along an axis with the distances changed that say where it places, and all else as it was. */
export function withPlace(rule: AxisRule, change: (length: Length, distance: Distance) => Length): AxisRule {
  const edge = (e: Edge, own: 'start' | 'end'): Edge => {
    // Inwards is positive from the same side, and away from the region is from the other.
    const inwards = e.side === undefined || e.side === own;
    const sign = (own === 'start') === inwards ? 1 : -1;
    return { ...e, offset: change(e.offset, { sign, region: e.region }) };
  };
  if (rule.kind === 'middle') return { ...rule, shift: change(rule.shift, { sign: 1, region: rule.region }) };
  if (rule.kind === 'edges') return { ...rule, start: edge(rule.start, 'start'), end: edge(rule.end, 'end') };
  return { ...rule, edge: edge(rule.edge, rule.kind) };
}
