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
