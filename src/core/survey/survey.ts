import { visibleDrawing } from '../measure/clearance';
import { withAccepted } from '../measure/accept';
import { breachesOf, judged, limitsFor, outcomeOf, type Breach } from '../measure/judge';
import { overlapOf, type Standing } from '../measure/overlap';
import { sceneMeasures } from '../measure/scene';
import type { Rect } from '../geometry/rect';
import type { Documents } from '../scene/documents';
import { isPlaced, type Scene } from '../scene/scene';
import { barsOf } from '../screens/bars';
import type { Case } from '../screens/cases';
import { outlineOf } from '../screens/outline';
import { barContrast, contrastOf, isMeasured } from './contrast';
import type { CaseResult, LayerResult } from './result';
import { drawGround, drawPlaced, type Scope } from './draw';
import { prepareCase, prepareTwin, type Outside, type Prepared, type SurveyInput } from './prepare';

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
function measureTogether(layers: readonly LayerResult[], { input, c, prepared, twin }: Scope): void {
  const { pixels } = input;
  // What lies across what is the same in the other appearance, and was taken from there.
  const standing = twin ? [] : standingOf(layers, prepared.regions.screen);
  layers.forEach((layer, i) => {
    if (layer.kind === 'ground') return;
    const own = standing.find((s) => s.id === layer.id);
    if (own) layer.measures.overlap = overlapOf(own, standing);
    const meant = pixels && isMeasured(layer);
    layer.measures.contrast = meant ? contrastOf(layer, layers.slice(0, i), pixels, c.appearance) : null;
  });
}

/** The layers that none of their like should lie across, as far as they are seen. */
function standingOf(layers: readonly LayerResult[], screen: Rect): Standing[] {
  const standing: Standing[] = [];
  for (const l of layers) {
    if (l.kind === 'ground' || l.role === 'background') continue;
    const seen = l.kind === 'panel' || l.role !== 'other' ? visibleDrawing(l.placement, screen) : null;
    if (seen) standing.push({ id: l.id, parent: l.parent, seen });
  }
  return standing;
}

/** Limits broken by the layers, the bars and the case as a whole. */
function judge(layers: readonly LayerResult[], { input, c, prepared, bars }: Scope): Breach[] {
  const { limits, pixels, named } = input;
  const found = layers.flatMap((l) => (l.kind === 'ground' ? [] : breachesOf(l, l.measures, limits)));
  for (const bar of limitsFor('bar', limits).length > 0 ? bars : []) {
    const contrast = barContrast(bar, layers, pixels ?? null, c.appearance);
    found.push(...judged(`bar:${bar.kind}`, 'bar', limits, () => contrast));
  }
  const fileOf = (id: string) => prepared.chosen.get(id)!.rendition.appearance;
  const whole = sceneMeasures(prepared.drawn, fileOf, c.appearance, named);
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
  const scope = { input, c, prepared, outline: twin?.outline ?? outlineOf(turned), bars, twin };
  const layers: LayerResult[] = [];
  for (const layer of prepared.drawn)
    layers.push(isPlaced(layer) ? drawPlaced(layer, scope) : drawGround(layer, scope));
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
    const twin: Prepared | null = before && prepareTwin(input, c, before.c, before.prepared);
    const prepared: Prepared = twin ?? prepareCase(input, c);
    const result = surveyPrepared(input, c, prepared, twin && before!.result);
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
