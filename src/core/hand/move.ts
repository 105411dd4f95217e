import { span, type Axis } from '../geometry/rect';
import { withPlace } from '../placing/measured';
import type { AxisRule } from '../placing/rule';
import type { Case } from '../screens/cases';
import type { SurveyInput } from '../survey/prepare';
import type { Length } from '../values/values';
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

const ALONG: Record<Axis, string> = { x: 'across', y: 'down' };

/** Why a rule cannot place a layer elsewhere along an axis; `null` where it can. */
function whyFixed({ layer, resolver, placeable }: Looked, rule: AxisRule, axis: Axis): string | null {
  if (rule.kind === 'edges') return `${layer.name} is pinned to both edges ${ALONG[axis]}.`;
  const { offset, region } =
    rule.kind === 'middle' ? { offset: rule.shift, region: rule.region } : { ...rule.edge };
  if ('named' in offset)
    return `Where ${layer.name} lies ${ALONG[axis]} is a named value, which other things may use as well.`;
  const { start, end } = resolver.region(placeable, region, axis);
  if (offset.unit === '%' && end - start <= 0)
    return `Where ${layer.name} lies ${ALONG[axis]} is a share of something without a size.`;
  return null;
}

/** A rule along an axis that places as much further, each distance in the unit and from the region that it has. */
export function movedRule(looked: Looked, rule: AxisRule, axis: Axis, by: number): AxisRule {
  const { resolver, placeable, density } = looked;
  return withPlace(rule, (length, { sign, region }): Length => {
    if ('named' in length) return length;
    const { start, end } = resolver.region(placeable, region, axis);
    return longer(length, sign * by, { basis: end - start, density });
  });
}

/** How far a layer went along each axis between two scenes, lu, in the directions of its rules. */
function went(before: Looked, after: Looked): By {
  const from = before.resolver.box(before.layer.id);
  const to = after.resolver.box(after.layer.id);
  return { x: span(to, 'x').start - span(from, 'x').start, y: span(to, 'y').start - span(from, 'y').start };
}

/**
 * Moves a layer on one case as a hand does: the rule that holds there is written with other distances, each in its unit
 * and against its region, so that what is drawn there follows the hand to half a device px. A rule that says nothing
 * by which the layer could go there leaves it along that axis.
 *
 * @param by how far, from where it lies in `input` @throws where the layer is not drawn on the case; as the resolver does
 */
export function moveOn(input: SurveyInput, c: Case, layerId: string, by: By): Handled {
  const before = look(input, c, layerId);
  const placing = placingOf(before);
  const asked = asRuled(input.scene, by);
  const stays: Handled['stays'] = {};
  for (const axis of AXES) {
    const why = whyFixed(before, placing[axis], axis);
    if (why === null) continue;
    stays[axis] = why;
    asked[axis] = 0;
  }
  const { scene } = follow(asked, before.density, (told) => {
    const along = (axis: Axis) =>
      told[axis] === 0 ? placing[axis] : movedRule(before, placing[axis], axis, told[axis]);
    const next = withPlacing(input.scene, before, { ...placing, x: along('x'), y: along('y') });
    return { scene: next, done: went(before, look({ ...input, scene: next }, c, layerId)) };
  });
  return { scene, stays };
}
