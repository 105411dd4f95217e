import { FIT_PRESETS, withPreset } from '../fit/presets';
import { Fit } from '../fit/rule';
import { PlacingCycle } from '../placing/resolve';
import { AxisRule, Edge, Extent } from '../placing/rule';
import type { Reason } from '../explain/reason';
import { breachId } from '../measure/judge';
import { applyPatch } from '../patch/patch';
import type { Layer } from '../scene/scene';
import type { Case } from '../screens/cases';
import type { Path } from '../sentences/parts';
import { surveyCase, type CaseResult, type SurveyInput } from '../survey/survey';
import { lu, percent } from '../values/values';

export type RulePart = NonNullable<Reason['part']>;

/** What stands at a path of a layer. */
const at = (layer: Layer, path: Path): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<string | number, unknown>)[key], layer);

/** % across and down at which a picture is tried. */
const PLACES = [0, 25, 50, 75, 100];

const positions = PLACES.flatMap((x) =>
  PLACES.map((y) => ({
    kind: 'position',
    x: { percent: x, offset: lu(0) },
    y: { percent: y, offset: lu(0) },
  })),
);

const REGIONS = ['screen', 'safe', 'content', 'margins'] as const;

/** How far from an edge, lu, and how far out of the middle, % of the region, something is tried. */
const OFFSETS = [-64, -16, 0, 16, 64, 160];
const SHIFTS = [-40, -20, -6, 0, 6, 20, 40];

/** % of the screen that a size is tried at. */
const SIZES = [2, 5, 8, 12, 16, 20, 25, 30, 40, 50, 65, 80, 100];

/** Width ÷ height. */
const SHAPES = ['own', 0.5, 0.75, 1, 1.5, 2.5] as const;

/** Other sizes, without bounds, which are part of one; `null` of what has no size of its own. */
const sizes = ({ kind }: Extent): Extent[] | null =>
  kind === 'length' ? SIZES.map((n) => ({ kind, length: percent(n), of: 'screen' })) : null;

const edges = (from: Edge): Edge[] =>
  REGIONS.flatMap((region) => OFFSETS.map((by) => ({ ...from, region, offset: lu(by) })));

/** Other places along an axis: from each region, further in and further out. */
function places(rule: AxisRule): AxisRule[] {
  switch (rule.kind) {
    case 'edges':
      return REGIONS.map((region) => ({
        kind: 'edges',
        start: { region, offset: lu(0) },
        end: { region, offset: lu(0) },
      }));
    case 'middle':
      return REGIONS.flatMap((region) => SHIFTS.map((by) => ({ ...rule, region, shift: percent(by) })));
    default:
      return edges(rule.edge).map((edge) => ({ ...rule, edge }));
  }
}

/** What is tried in the place of a part of a rule, and where that stands; `null` where it cannot be listed. */
function othersFor(layer: Layer, path: Path): { path: Path; values: unknown[] } | null {
  switch (path.at(-1)) {
    case 'align':
      return { path, values: positions };
    // What is repeated is another picture.
    case 'fit': {
      const fit = Fit.parse(at(layer, path));
      return { path, values: FIT_PRESETS.filter((p) => p !== 'tile').map((p) => withPreset(fit, p)) };
    }
    // How far from a region something lies is said with the region.
    case 'region': {
      const whole = path.slice(0, -1);
      const value = at(layer, whole);
      const { data: edge } = Edge.safeParse(value);
      return { path: whole, values: edge ? edges(edge) : places(AxisRule.parse(value)) };
    }
    case 'x':
    case 'y':
      return { path, values: places(AxisRule.parse(at(layer, path))) };
    case 'extent': {
      const values = sizes(Extent.parse(at(layer, path)));
      return values && { path, values };
    }
    case 'ratio':
      return { path, values: SHAPES.map((value) => ({ value, strict: true })) };
    default:
      return null;
  }
}

/** A case of a scene; `null` where its layers are measured from one another in a circle, so that nothing is drawn. */
function drawn(input: SurveyInput, c: Case): CaseResult | null {
  try {
    return surveyCase(input, c);
  } catch (error) {
    if (error instanceof PlacingCycle) return null;
    throw error;
  }
}

/**
 * Whether a part of a rule could clear a finding on a case by itself: it is tried with other values, evenly over what it may say.
 * Parts whose values cannot be listed, such as a picture or a type face, are taken to be able to.
 * @param id of the finding, which is that of its breaches
 */
export function couldClear(input: SurveyInput, { layerId, path }: RulePart, id: string, c: Case): boolean {
  const { scene } = input;
  const index = scene.layers.findIndex((l) => l.id === layerId);
  const layer = scene.layers[index];
  if (!layer) return true;
  const others = othersFor(layer, path);
  if (others === null) return true;
  return others.values.some((value) => {
    const changed = applyPatch(layer, [{ op: 'replace', path: `/${others.path.join('/')}`, value }]);
    const result = drawn({ ...input, scene: { ...scene, layers: scene.layers.with(index, changed) } }, c);
    return result !== null && !result.breaches.some((breach) => breachId(breach) === id);
  });
}
