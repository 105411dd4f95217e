import { span, type Axis, type Span } from '../geometry/rect';
import type { AxisRule, Edge, Extent, Placing } from '../placing/rule';
import { followsShape, other } from '../placing/sizes';
import type { Case } from '../screens/cases';
import type { SurveyInput } from '../survey/prepare';
import {
  asRuled,
  AXES,
  follow,
  longer,
  look,
  placingOf,
  withPlacing,
  type By,
  type Handled,
  type Looked,
} from './looked';
import { movedRule } from './move';

type Side = 'start' | 'end';
/** Which edges of a layer the hand holds: one, or two that meet in a corner. Start is left and top, as it is drawn. */
export type Grip = Partial<Record<Axis, Side>>;

const EXTENTS: Record<Axis, string> = { x: 'width', y: 'height' };
/** lu: nothing is made smaller by hand. */
const LEAST = 1;
const lengthOf = ({ start, end }: Span) => end - start;

/** What a hand does to one axis of a layer. */
interface Pull {
  axis: Axis;
  side: Side;
  /** lu, in the direction of the rules */
  by: number;
}

/** Why the size along an axis is not for a hand to say; `null` where it is. */
function whyGiven(
  { layer, resolver, placeable }: Looked,
  rule: AxisRule,
  axis: Axis,
  side: Side,
): string | null {
  const named = `The ${EXTENTS[axis]} of ${layer.name} is a named value, which other things may use as well.`;
  if (rule.kind === 'edges') return 'named' in rule[side].offset ? named : null;
  const { extent } = rule;
  if (extent.kind === 'natural')
    return `${layer.name} has its natural ${EXTENTS[axis]}: give it a size first.`;
  if (extent.kind === 'hug') return `${layer.name} is as large as what it holds.`;
  if (extent.kind === 'from-ratio') return null;
  if ('named' in extent.length) return named;
  const isShare = extent.length.unit === '%';
  return isShare && resolver.basis(placeable, extent.of, axis) <= 0
    ? `The ${EXTENTS[axis]} of ${layer.name} is a share of something without a size.`
    : null;
}

/** A rule pinned at both edges with one of them moved. */
function withEdge(looked: Looked, rule: AxisRule & { kind: 'edges' }, { axis, side, by }: Pull): AxisRule {
  const edge: Edge = rule[side];
  // One edge is moved as that of a layer that is held by it alone.
  const held = { kind: side, edge, extent: { kind: 'natural' } } as const;
  const moved = movedRule(looked, held, axis, by) as typeof held;
  return { ...rule, [side]: moved.edge };
}

/** An extent that is longer by as many lu than it is drawn, within its own least and most. */
function longerExtent(looked: Looked, extent: Extent, axis: Axis, by: number): Extent {
  const { resolver, placeable, density } = looked;
  if (extent.kind !== 'length' || 'named' in extent.length) return extent;
  const now = lengthOf(span(resolver.box(placeable.id), axis));
  const { low, high } = resolver.sizes.limits(placeable, axis);
  const next = Math.min(high, Math.max(low, LEAST, now + by));
  const basis = resolver.basis(placeable, extent.of, axis);
  const own = resolver.bound(placeable, extent, axis);
  // Of what is held in its middle both edges follow, of others one.
  return { ...extent, length: longer(extent.length, next - own, { basis, density, weight: 2 }) };
}

/** A rule along an axis with a size that is longer, and its place such that the other edge stays. */
function pulledRule(looked: Looked, rule: AxisRule, pull: Pull): AxisRule {
  const { axis, side, by } = pull;
  if (rule.kind === 'edges') return withEdge(looked, rule, pull);
  const outwards = side === 'end' ? by : -by;
  const extent = longerExtent(looked, rule.extent, axis, rule.kind === 'middle' ? 2 * outwards : outwards);
  return rule.kind === side
    ? ({ ...movedRule(looked, rule, axis, by), extent } as AxisRule)
    : { ...rule, extent };
}

/** The placing with one axis pulled; along one that follows from the shape, the other one is made longer in proportion. */
function pulledPlacing(looked: Looked, placing: Placing, pull: Pull): Placing {
  const { axis, side, by } = pull;
  if (!followsShape({ ...looked.placeable, placing }, axis))
    return { ...placing, [axis]: pulledRule(looked, placing[axis], pull) };
  const rule = placing[axis];
  const across = placing[other(axis)];
  if (across.kind === 'edges') return placing;
  const box = looked.resolver.box(looked.layer.id);
  const share = lengthOf(span(box, other(axis))) / Math.max(LEAST, lengthOf(span(box, axis)));
  const outwards = (side === 'end' ? by : -by) * (rule.kind === 'middle' ? 2 : 1);
  const extent = longerExtent(looked, across.extent, other(axis), outwards * share);
  const held = rule.kind === side ? movedRule(looked, rule, axis, by) : rule;
  return { ...placing, [axis]: held, [other(axis)]: { ...across, extent } };
}

/** The pulls that a hand comes to: with a shape that is held the longer one of two, else each. */
function pullsOf(placing: Placing, grip: Grip, by: By): Pull[] {
  const all = AXES.flatMap((axis): Pull[] => (grip[axis] ? [{ axis, side: grip[axis], by: by[axis] }] : []));
  const isHeld = AXES.some((axis) => {
    const rule = placing[axis];
    return rule.kind !== 'edges' && rule.extent.kind === 'from-ratio';
  });
  if (!isHeld || all.length < 2) return all;
  const [x, y] = all as [Pull, Pull];
  return Math.abs(x.by) >= Math.abs(y.by) ? [x] : [y];
}

/** Why an axis cannot be pulled: its own size, or that of the other one where it follows from the shape. */
function whyNot(looked: Looked, placing: Placing, { axis, side }: Pull): string | null {
  const rule = placing[axis];
  const own = whyGiven(looked, rule, axis, side);
  if (own !== null || rule.kind === 'edges' || rule.extent.kind !== 'from-ratio') return own;
  const across = placing[other(axis)];
  if (across.kind === 'edges')
    return `The ${EXTENTS[axis]} of ${looked.layer.name} follows from its ${EXTENTS[other(axis)]}, which is pinned to both edges.`;
  return whyGiven(looked, across, other(axis), side);
}

/**
 * Makes a layer larger or smaller on one case by its edges, as a hand does: the size that the rule says there is written
 * in its unit and of what it is a share of, so that the edge follows the hand to half a device px. A shape that is held
 * is kept. Where the size is not for the rule to say, or at its least or most, the layer stays, and that is said.
 *
 * @param by how far the edges are pulled @throws where the layer is not drawn on the case; as the resolver does
 */
export function resizeOn(
  input: SurveyInput,
  c: Case,
  layerId: string,
  { grip, by }: { grip: Grip; by: By },
): Handled {
  const before = look(input, c, layerId);
  const placing = placingOf(before);
  const isMirrored = input.scene.direction === 'rtl';
  const turned = grip.x && (grip.x === 'start' ? 'end' : 'start');
  const ruled: Grip = { ...grip, ...(isMirrored && turned && { x: turned }) };
  const stays: Handled['stays'] = {};
  const pulls = pullsOf(placing, ruled, asRuled(input.scene, by)).filter((pull) => {
    const why = whyNot(before, placing, pull);
    if (why !== null) stays[pull.axis] = why;
    return why === null;
  });
  const asked: By = { x: 0, y: 0 };
  for (const pull of pulls) asked[pull.axis] = pull.by;
  const edgeOf = (looked: Looked, { axis, side }: Pull) => span(looked.resolver.box(layerId), axis)[side];
  const { scene, done } = follow(asked, before.density, (told) => {
    const next = pulls.reduce(
      (p, pull) => pulledPlacing(before, p, { ...pull, by: told[pull.axis] }),
      placing,
    );
    const after = withPlacing(input.scene, before, next);
    const looked = look({ ...input, scene: after }, c, layerId);
    const went: By = { x: 0, y: 0 };
    for (const pull of pulls) went[pull.axis] = edgeOf(looked, pull) - edgeOf(before, pull);
    return { scene: after, done: went };
  });
  for (const { axis } of pulls)
    if (Math.abs(done[axis] - asked[axis]) * before.density > 0.5)
      stays[axis] = `${before.layer.name} is at the least or the most of its size.`;
  return { scene, stays };
}
