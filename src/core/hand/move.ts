import { span, type Axis } from '../geometry/rect';
import { withPlace } from '../placing/measured';
import type { AxisRule, Placing } from '../placing/rule';
import type { Resolver } from '../placing/resolve';
import type { Placeable } from '../placing/sizes';
import { isPlaced, type PlacedLayer, type Scene } from '../scene/scene';
import { ruleOn } from '../scene/when';
import type { Case } from '../screens/cases';
import { prepareCase, type SurveyInput } from '../survey/prepare';
import type { Length } from '../values/values';

/** How far something is moved, lu: right and down are positive, as it is drawn. */
export type By = Record<Axis, number>;

export interface Moved {
  /** the scene with the layer moved, by the rule that holds on the case */
  scene: Scene;
  /** along which axes the layer stays where it is, and why, in words */
  stays: Partial<Record<Axis, string>>;
}

/** Device px by which what is drawn may be off the hand. */
const OFF_PX = 0.45;
/** How often a move is corrected that moves what it is measured from as well. */
const CORRECTIONS = 4;
const MOST_DECIMALS = 6;
const AXES = ['x', 'y'] as const;
const ALONG: Record<Axis, string> = { x: 'across', y: 'down' };

/** A number with as few decimals as leave it within `off` of itself. */
function shortest(value: number, off: number): number {
  for (let decimals = 0; decimals < MOST_DECIMALS; decimals++) {
    const rounded = Number(value.toFixed(decimals)) + 0;
    if (Math.abs(rounded - value) <= off) return rounded;
  }
  return value;
}

/** Where a layer is on a case: what is known of its place, and which of its rules says it. */
interface Looked {
  layer: PlacedLayer;
  placeable: Placeable;
  resolver: Resolver;
  density: number;
  /** the place among the rules that differ, −1 for the usual one */
  rule: number;
}

function look(input: SurveyInput, c: Case, layerId: string): Looked {
  const prepared = prepareCase(input, c);
  const { resolver, placeables } = prepared.laid();
  const layer = input.scene.layers.find((l) => l.id === layerId);
  const placeable = placeables.find((p) => p.id === layerId);
  if (!layer || !isPlaced(layer) || !placeable) throw new Error('This layer is not drawn on this screen.');
  const at = ruleOn(layer.when ?? [], prepared.turned.size);
  const rule = layer.when?.[at]?.placing ? at : -1;
  return { layer, placeable, resolver, density: prepared.turned.screen.density, rule };
}

const placingOf = ({ layer, rule }: Looked): Placing => layer.when?.[rule]?.placing ?? layer.placing;

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
function movedRule(looked: Looked, rule: AxisRule, { axis, by }: { axis: Axis; by: number }): AxisRule {
  const { resolver, placeable, density } = looked;
  return withPlace(rule, (length, { sign, region }): Length => {
    if ('named' in length) return length;
    const { start, end } = resolver.region(placeable, region, axis);
    const perUnit = { lu: 1, px: 1 / density, '%': (end - start) / 100 }[length.unit];
    const off = OFF_PX / density / Math.abs(perUnit);
    return { ...length, value: shortest(length.value + (sign * by) / perUnit, off) };
  });
}

/** A scene in which one rule of a layer places it otherwise. */
function withPlacing(scene: Scene, { layer, rule }: Looked, placing: Placing): Scene {
  const when = layer.when?.map((w, i) => (i === rule ? { ...w, placing } : w));
  const next = rule < 0 ? { ...layer, placing } : { ...layer, ...(when && { when }) };
  return { ...scene, layers: scene.layers.map((l) => (l.id === layer.id ? next : l)) };
}

/** How far a layer went along each axis between two scenes, lu, in the directions of its rules. */
function went(before: Looked, after: Looked): By {
  const from = before.resolver.box(before.layer.id);
  const to = after.resolver.box(after.layer.id);
  return { x: span(to, 'x').start - span(from, 'x').start, y: span(to, 'y').start - span(from, 'y').start };
}

/** What a layer is told to go by after it went otherwise than it was asked to, lu. */
function corrected(told: number, done: number, asked: number): number {
  return Math.abs(done) > 1e-9 ? told * (asked / done) : told;
}

/** A layer told to go by as much along each axis, and how far it went then. */
function tryMove(input: SurveyInput, c: Case, before: Looked, told: By): { scene: Scene; done: By } {
  const placing = placingOf(before);
  const along = (axis: Axis) =>
    told[axis] === 0 ? placing[axis] : movedRule(before, placing[axis], { axis, by: told[axis] });
  const scene = withPlacing(input.scene, before, { ...placing, x: along('x'), y: along('y') });
  return { scene, done: went(before, look({ ...input, scene }, c, before.layer.id)) };
}

/**
 * Moves a layer on one case as a hand does: the rule that holds there is written with other distances, each in its unit
 * and against its region, so that what is drawn there follows the hand to half a device px. A rule that says nothing
 * by which the layer could go there leaves it along that axis.
 *
 * @param by how far, from where it lies in `input` @throws where the layer is not drawn on the case; as the resolver does
 */
export function moveOn(input: SurveyInput, c: Case, layerId: string, by: By): Moved {
  const before = look(input, c, layerId);
  const asked: By = { x: input.scene.direction === 'rtl' ? -by.x : by.x, y: by.y };
  const stays: Moved['stays'] = {};
  for (const axis of AXES) {
    const why = whyFixed(before, placingOf(before)[axis], axis);
    if (why === null) continue;
    stays[axis] = why;
    asked[axis] = 0;
  }
  let told = asked;
  let tried = tryMove(input, c, before, told);
  const isOff = (axis: Axis) => Math.abs(tried.done[axis] - asked[axis]) * before.density > 0.5;
  for (let i = 0; i < CORRECTIONS && AXES.some(isOff); i++) {
    // What is measured from the layer moves along with it, and may take it further or hold it back.
    const next = (axis: Axis) =>
      isOff(axis) ? corrected(told[axis], tried.done[axis], asked[axis]) : told[axis];
    told = { x: next('x'), y: next('y') };
    tried = tryMove(input, c, before, told);
  }
  return { scene: tried.scene, stays };
}
