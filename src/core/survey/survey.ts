import { visibleDrawing } from '../measure/clearance';
import { withAccepted } from '../measure/accept';
import { breachesOf, judged, outcomeOf, type Breach } from '../measure/judge';
import { overlapOf } from '../measure/overlap';
import { sceneMeasures } from '../measure/scene';
import type { Documents } from '../scene/documents';
import { isPlaced, type Scene } from '../scene/scene';
import { barsOf } from '../screens/bars';
import type { Case } from '../screens/cases';
import { outlineOf } from '../screens/outline';
import { barContrast, contrastOf } from './contrast';
import type { CaseResult, LayerResult } from './result';
import { drawGround, drawPlaced, type Scope } from './draw';
import { inDrawingOrder, prepareCase, type Outside, type Prepared, type SurveyInput } from './prepare';

export type { Outside, SurveyInput } from './prepare';
export type * from './result';

/** What a survey of a scene needs of the documents it stands in. */
export const surveyInput = ({ project }: Documents, scene: Scene, outside: Outside): SurveyInput => ({
  scene,
  pictures: project.pictures,
  named: project.named,
  limits: project.limits,
  accepted: (project.accepted ?? []).filter((a) => a.scene === scene.id),
  ...outside,
});

/** What can only be measured once everything is drawn; the layers are this survey’s own and are filled in. */
function measureTogether(layers: readonly LayerResult[], { input, c, prepared }: Scope): void {
  const { screen } = prepared.regions;
  const standing = layers.flatMap((l) => {
    if (l.kind === 'ground' || l.role === 'background') return [];
    const seen = l.kind === 'panel' || l.role !== 'other' ? visibleDrawing(l.placement, screen) : null;
    return seen ? [{ id: l.id, parent: l.parent, seen }] : [];
  });
  layers.forEach((layer, i) => {
    if (layer.kind === 'ground') return;
    const own = standing.find((s) => s.id === layer.id);
    if (own) layer.measures.overlap = overlapOf(own, standing);
    layer.measures.contrast = contrastOf(layer, layers.slice(0, i), input.pixels ?? null, c.appearance);
  });
}

/** Limits broken by the layers, the bars and the case as a whole. */
function judge(layers: readonly LayerResult[], { input, c, prepared, bars }: Scope): Breach[] {
  const { limits, pixels, named } = input;
  const found = layers.flatMap((l) => (l.kind === 'ground' ? [] : breachesOf(l, l.measures, limits)));
  for (const bar of limits.some((l) => l.role === 'bar') ? bars : []) {
    const contrast = barContrast(bar, layers, pixels ?? null, c.appearance);
    found.push(...judged(`bar:${bar.kind}`, 'bar', limits, () => contrast));
  }
  const shown = prepared.layers.filter((l) => l.visible);
  const fileOf = (id: string) => prepared.chosen.get(id)!.rendition.appearance;
  const whole = sceneMeasures(shown, fileOf, c.appearance, named);
  found.push(...judged('scene', 'scene', limits, (l) => whole[l.measure as keyof typeof whole]));
  return input.accepted?.length ? withAccepted(found, c.screen.id, input.accepted) : found;
}

/** Everything of one case, in the order of the specification: turn, choose files, place, fit, measure, judge. */
export const surveyCase = (input: SurveyInput, c: Case): CaseResult =>
  surveyPrepared(input, c, prepareCase(input, c));

/** The same of a case that is prepared already. */
export function surveyPrepared(
  input: SurveyInput,
  c: Case,
  prepared: Prepared,
  twin: CaseResult | null = null,
): CaseResult {
  const { turned, regions } = prepared;
  const bars = barsOf(turned, input.scene.bars, c.appearance, input.named);
  const scope = { input, c, prepared, outline: outlineOf(turned), bars, twin };
  const layers: LayerResult[] = [];
  for (const layer of inDrawingOrder(prepared.layers)) {
    if (!layer.visible) continue;
    if (!isPlaced(layer)) {
      layers.push(drawGround(layer, scope));
      continue;
    }
    layers.push(drawPlaced(layer, scope));
  }
  measureTogether(layers, scope);
  const breaches = judge(layers, scope);
  return {
    id: c.id,
    screenId: c.screen.id,
    rotation: c.rotation,
    orientation: turned.orientation,
    appearance: c.appearance,
    regions,
    outline: scope.outline,
    bars,
    layers,
    breaches,
    outcome: outcomeOf(breaches),
  };
}

/** Whether two cases place alike as far as their files go: one file of another size may move every layer that leans on it. */
const haveLikeFiles = (a: Prepared, b: Prepared) =>
  [...b.chosen].every(([id, { cut, rendition: r }]) => {
    const other = a.chosen.get(id);
    if (other?.cut !== cut) return false;
    const { widthPx, heightPx, density, vector } = other.rendition;
    return r.widthPx === widthPx && r.heightPx === heightPx && r.density === density && r.vector === vector;
  });

/**
 * Surveys one case after another and hands each result over. Where a case is the one before it in the other
 * appearance, and its files are alike in size, what does not hang on the appearance is taken from there; keep the two
 * together in the list.
 */
export function surveyEach(
  input: SurveyInput,
  cases: readonly Case[],
  visit: (result: CaseResult, c: Case) => void,
): void {
  let before: { c: Case; prepared: Prepared; result: CaseResult } | null = null;
  for (const c of cases) {
    const prepared = prepareCase(input, c);
    const isTwin =
      before !== null &&
      before.c.screen === c.screen &&
      before.c.rotation === c.rotation &&
      haveLikeFiles(before.prepared, prepared);
    const result = surveyPrepared(input, c, prepared, isTwin ? before!.result : null);
    visit(result, c);
    before = { c, prepared, result };
  }
}

/** The one call behind the screen, the server, the command line and the exit code. */
export function survey(input: SurveyInput, cases: readonly Case[]): CaseResult[] {
  const results: CaseResult[] = [];
  surveyEach(input, cases, (result) => results.push(result));
  return results;
}
