import { fromSpans, inset, span, type Axis, type Rect } from '../geometry/rect';
import { leansOnHolder, measuredFrom, movedAlong, type Inside } from '../placing/into-panel';
import { isHugging, type AxisRule, type Placing } from '../placing/rule';
import { hugsNothing } from '../scene/layers';
import { isPlaced, type PanelLayer, type PlacedLayer, type Scene } from '../scene/scene';
import { lu } from '../values/values';
import { ruleOn } from '../scene/when';
import type { Case } from '../screens/cases';
import { prepareCase, type Prepared, type SurveyInput } from './prepare';

/** How one case is placed, and where the rules of a layer say what they do. */
interface Look {
  c: Case;
  prepared: Prepared;
  boxOf: (id: string) => Rect;
}

const lookAt = (input: SurveyInput, c: Case): Look => {
  const prepared = prepareCase(input, c);
  const { resolver } = prepared.laid();
  return { c, prepared, boxOf: (id) => resolver.box(id) };
};

const paddingIn = ({ prepared }: Look, panel: string) =>
  prepared.laid().placeables.find((p) => p.id === panel)?.padding ?? { left: 0, right: 0, top: 0, bottom: 0 };

/** A panel as its rule holds on a case. */
const panelOn = ({ prepared }: Look, id: string) =>
  prepared.drawn.find((l): l is PanelLayer => l.id === id && l.kind === 'panel');

/** A case for each rule that places a layer: the one that is looked at where it holds there, else the first. */
function caseFor(
  layer: PlacedLayer,
  rule: number,
  cases: readonly Case[],
  sizeOf: (c: Case) => Rect,
): Case | undefined {
  return cases.find((c) => {
    const at = ruleOn(layer.when ?? [], sizeOf(c));
    return (layer.when?.[at]?.placing ? at : -1) === rule;
  });
}

/** A layer with each of its placings changed, as it is on a case on which that one holds. */
function withEach<L extends PlacedLayer>(
  layer: L,
  looks: { of: (rule: number) => Look | null },
  change: (placing: Placing, look: Look) => Placing,
): L {
  const along = (placing: Placing, rule: number) => {
    const look = looks.of(rule);
    return look ? change(placing, look) : placing;
  };
  const when = layer.when?.map((w, i) => (w.placing ? { ...w, placing: along(w.placing, i) } : w));
  return { ...layer, placing: along(layer.placing, -1), ...(when && { when }) };
}

/** A rule of a panel that keeps the size at which it hugs what it holds. */
function keepingSize(rule: AxisRule, drawn: Rect, axis: Axis): AxisRule {
  if (rule.kind === 'edges' || rule.extent.kind !== 'hug') return rule;
  const { start, end } = span(drawn, axis);
  const { min, max } = rule.extent;
  const length = lu(Math.round((end - start) * 100) / 100);
  return { ...rule, extent: { kind: 'length', length, ...(min && { min }), ...(max && { max }) } };
}

/** What is inside a panel for a layer that it is to hold; along an axis on which an empty one hugs, the layer itself. */
function insideFor(look: Look, panelId: string, drawn: Rect, isEmpty: boolean): Inside | null {
  const panel = panelOn(look, panelId);
  if (!panel) return null;
  const content = inset(look.boxOf(panelId), paddingIn(look, panelId));
  const hugs = { x: isEmpty && isHugging(panel.placing.x), y: isEmpty && isHugging(panel.placing.y) };
  const rect = fromSpans(span(hugs.x ? drawn : content, 'x'), span(hugs.y ? drawn : content, 'y'));
  return { region: 'parent', rect, hugs };
}

/** How each case looks, as far as it was asked for: laying one out takes its time. */
function lookingAt(input: SurveyInput) {
  const known = new Map<Case, Look>();
  return (c: Case): Look => {
    const look = known.get(c) ?? lookAt(input, c);
    known.set(c, look);
    return look;
  };
}

/** For each rule of a layer the first case on which it holds, as it looks. */
const looksFor = (at: (c: Case) => Look, cases: readonly Case[]) => (layer: PlacedLayer) => ({
  of: (rule: number) => {
    const c = caseFor(layer, rule, cases, (one) => at(one).prepared.regions.screen);
    return c ? at(c) : null;
  },
});

/** Measured from what is to hold it, or from the screen where nothing is, and drawn where it was. */
function placedIn(placing: Placing, look: Look, { layerId, panelId, isEmpty }: Holding): Placing {
  const drawn = look.boxOf(layerId);
  if (panelId === undefined) {
    const rect = look.prepared.regions.screen;
    const hugs = { x: false, y: false };
    return leansOnHolder(placing) ? measuredFrom(placing, drawn, { region: 'screen', rect, hugs }) : placing;
  }
  const inside = insideFor(look, panelId, drawn, isEmpty);
  return inside ? measuredFrom(placing, drawn, inside) : placing;
}

/** Which layer is to be held by which panel; by none where that is absent. */
interface Holding {
  layerId: string;
  panelId: string | undefined;
  /** whether the panel hugs what it holds, and holds nothing */
  isEmpty: boolean;
}

/**
 * Puts a layer into a panel, or out of every one, and leaves it where it is drawn: its rules are measured from the panel
 * from then on. A panel that hugs what it holds keeps the size that it has; an empty one goes around the layer.
 * @param cases on which the layer is to stay where it is; for each rule that differs the first one counts on which it holds
 */
export function holdIn(
  input: SurveyInput,
  cases: readonly Case[],
  layerId: string,
  panelId: string | undefined,
): Scene {
  const { scene } = input;
  const layer = scene.layers.find((l): l is PlacedLayer => l.id === layerId && isPlaced(l));
  if (!layer) return scene;
  const looksOf = looksFor(lookingAt(input), cases);
  const { parent: _, ...free } = layer;
  const isEmpty = panelId !== undefined && hugsNothing(scene, panelId);
  const changed = withEach(free as PlacedLayer, looksOf(layer), (placing, look) =>
    placedIn(placing, look, { layerId, panelId, isEmpty }),
  );
  const held = { ...changed, ...(panelId !== undefined && { parent: panelId }) };
  const put = (panelAs: (panel: PanelLayer) => PanelLayer): Scene => ({
    ...scene,
    layers: scene.layers.map((l) => {
      if (l.id === layerId) return held;
      return l.id === panelId && l.kind === 'panel' ? panelAs(l) : l;
    }),
  });
  if (!isEmpty)
    return put((panel) =>
      withEach(panel, looksOf(panel), (placing, look) => {
        const box = look.boxOf(panel.id);
        const along = (axis: Axis) => keepingSize(placing[axis], box, axis);
        return { ...placing, x: along('x'), y: along('y') };
      }),
    );
  // Where an empty panel lies once it goes around the layer is seen when it does; then it is moved back there.
  const around = put((panel) => panel);
  const off = (look: Look, axis: Axis) => {
    const now = lookAt({ ...input, scene: around }, look.c).boxOf(layerId);
    return span(look.boxOf(layerId), axis).start - span(now, axis).start;
  };
  return put((panel) =>
    withEach(panel, looksOf(panel), (placing, look) => {
      const along = (axis: Axis) =>
        isHugging(placing[axis]) ? movedAlong(placing[axis], off(look, axis)) : placing[axis];
      return { ...placing, x: along('x'), y: along('y') };
    }),
  );
}
