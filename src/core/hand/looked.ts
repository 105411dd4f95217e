import type { Axis } from '../geometry/rect';
import type { Placing } from '../placing/rule';
import type { Resolver } from '../placing/resolve';
import type { Placeable } from '../placing/sizes';
import { isPlaced, type PlacedLayer, type Scene } from '../scene/scene';
import { ruleOn } from '../scene/when';
import type { Case } from '../screens/cases';
import { prepareCase, type SurveyInput } from '../survey/prepare';
import type { Length } from '../values/values';

/** How far a hand goes, lu: right and down are positive, as it is drawn. */
export type By = Record<Axis, number>;

/** What a hand makes of a scene. */
export interface Handled {
  /** with the rule written otherwise that holds on the case */
  scene: Scene;
  /** along which axes the hand is not followed, and why, in words */
  stays: Partial<Record<Axis, string>>;
}

export const AXES = ['x', 'y'] as const;
/** Device px by which a number that is written may be off the hand: with what is rounded after it, half a px at most. */
const OFF_PX = 0.45;
/** How often what is written is corrected, where it changes what it is measured from as well. */
const CORRECTIONS = 4;
const MOST_DECIMALS = 6;

/** Where a layer is on a case: what is known of its place, and which of its rules says it. */
export interface Looked {
  layer: PlacedLayer;
  placeable: Placeable;
  resolver: Resolver;
  /** device px per lu */
  density: number;
  /** the place among the rules that differ, −1 for the usual one */
  rule: number;
}

/** @throws where the layer is not drawn on the case; as the resolver does */
export function look(input: SurveyInput, c: Case, layerId: string): Looked {
  const prepared = prepareCase(input, c);
  const { resolver, placeables } = prepared.laid();
  const layer = input.scene.layers.find((l) => l.id === layerId);
  const placeable = placeables.find((p) => p.id === layerId);
  if (!layer || !isPlaced(layer) || !placeable) throw new Error('This layer is not drawn on this screen.');
  const at = ruleOn(layer.when ?? [], prepared.turned.size);
  const rule = layer.when?.[at]?.placing ? at : -1;
  return { layer, placeable, resolver, density: prepared.turned.screen.density, rule };
}

/** The rule that holds. */
export const placingOf = ({ layer, rule }: Looked): Placing => layer.when?.[rule]?.placing ?? layer.placing;

/** A scene in which that rule places the layer otherwise. */
export function withPlacing(scene: Scene, { layer, rule }: Looked, placing: Placing): Scene {
  const when = layer.when?.map((w, i) => (i === rule ? { ...w, placing } : w));
  const next = rule < 0 ? { ...layer, placing } : { ...layer, ...(when && { when }) };
  return { ...scene, layers: scene.layers.map((l) => (l.id === layer.id ? next : l)) };
}

/** How far a hand goes in the directions of the rules, which the right-to-left preview places in the mirror. */
export const asRuled = ({ direction }: Scene, { x, y }: By): By => ({ x: direction === 'rtl' ? -x : x, y });

/** A number with as few decimals as leave it within `off` of itself. */
function shortest(value: number, off: number): number {
  for (let decimals = 0; decimals < MOST_DECIMALS; decimals++) {
    const rounded = Number(value.toFixed(decimals)) + 0;
    if (Math.abs(rounded - value) <= off) return rounded;
  }
  return value;
}

type Plain = Exclude<Length, { named: string }>;

/**
 * A length that is longer by as many lu, in its own unit, as round as the hand allows.
 * @param basis what 100 % is, lu; not 0 for a share @param weight by how much the hand is off for each lu of it
 */
export function longer(
  length: Plain,
  by: number,
  { basis, density, weight = 1 }: { basis: number; density: number; weight?: number },
): Plain {
  const perUnit = { lu: 1, px: 1 / density, '%': basis / 100 }[length.unit];
  const off = OFF_PX / density / Math.abs(perUnit) / weight;
  return { ...length, value: shortest(length.value + by / perUnit, off) };
}

/** A change that was told how far to go, and how far the layer went then. */
interface Tried {
  scene: Scene;
  done: By;
}

/**
 * Tells a change how far to go until the layer goes as far as it is asked to: what is measured from the layer moves along
 * with it, and may take it further or hold it back. Where that does not help, the change is as it was told first.
 */
export function follow(asked: By, density: number, attempt: (told: By) => Tried): Tried {
  const isOff = ({ done }: Tried, axis: Axis) => Math.abs(done[axis] - asked[axis]) * density > 0.5;
  const first = attempt(asked);
  let told = asked;
  let tried = first;
  for (let i = 0; i < CORRECTIONS && AXES.some((axis) => isOff(tried, axis)); i++) {
    const next = (axis: Axis) => {
      const done = tried.done[axis];
      return isOff(tried, axis) && Math.abs(done) > 1e-9 ? told[axis] * (asked[axis] / done) : told[axis];
    };
    told = { x: next('x'), y: next('y') };
    tried = attempt(told);
  }
  return AXES.some((axis) => isOff(tried, axis)) ? first : tried;
}
