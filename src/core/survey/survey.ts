import { withAccepted } from '../measure/accept';
import { breachesOf, judged, openAgain, outcomeOf, type Breach } from '../measure/judge';
import { limitsOn } from '../measure/limit';
import { sceneMeasures } from '../measure/scene';
import type { Documents } from '../project/documents';
import { emptyPanels } from '../scene/layers';
import { isPlaced, type Scene } from '../scene/scene';
import { barsIn, barsOf } from '../screens/bars';
import type { Case } from '../screens/cases';
import { likeness } from '../screens/likeness';
import { outlineOf } from '../screens/outline';
import { orientationOf } from '../screens/turn';
import { KeptCase, unchangedSince, type Earlier } from './earlier';
import { CaseResult, type LayerResult } from './result';
import { measureTogether, type Together } from './together';
import { drawGround, drawPlaced, type CaseScope } from './draw';
import {
  prepareAgain,
  prepareCase,
  prepareTwin,
  type Outside,
  type Prepared,
  type SurveyInput,
} from './prepare';

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

/** Limits broken by the layers, the bars and the case as a whole. */
function judge({ layers, barContrast }: Together, { input, c, prepared, bars, kept }: CaseScope): Breach[] {
  const { named } = input;
  const limits = limitsOn(c.screen, input.limits);
  const was = kept?.judgedAlike ? kept.result : null;
  const found: Breach[] = [];
  let empty: ReadonlySet<string> | null = null;
  const isEmpty = (id: string) => (empty ??= emptyPanels(input.scene)).has(id);
  layers.forEach((l, i) => {
    if (l.kind === 'ground' || (l.kind === 'panel' && isEmpty(l.id))) return;
    // Whether a panel is empty is not seen of its result.
    if (l.kind === 'panel' || l !== was?.layers[i]) breachesOf(l, l.measures, limits, found);
    else for (const b of was.breaches) if (b.subjectId === l.id) found.push(b);
  });
  bars.forEach((bar, i) => found.push(...judged(`bar:${bar.kind}`, 'bar', limits, () => barContrast[i])));
  const fileOf = (id: string) => prepared.chosen.get(id)!.rendition.appearance;
  const whole = sceneMeasures(prepared.drawn, fileOf, c.appearance, named);
  found.push(...judged('scene', 'scene', limits, (l) => whole[l.measure as keyof typeof whole]));
  return input.accepted?.length
    ? withAccepted(found, { caseId: c.id, screenId: c.screen.id }, input.accepted)
    : found;
}

/** Everything of one case, in the order of the specification: turn, choose files, place, fit, measure, judge. */
export const surveyCase = (input: SurveyInput, c: Case): CaseResult =>
  surveyPrepared(input, c, prepareCase(input, c));

const barsOn = (
  { appearance }: Case,
  turned: Prepared['turned'],
  { scene, named }: SurveyInput,
  twin: CaseResult | null,
) =>
  twin ? barsIn(appearance, twin.bars, scene.bars, named) : barsOf(turned, scene.bars, appearance, named);

/** Surveys a case that is prepared already. */
export function surveyPrepared(
  input: SurveyInput,
  c: Case,
  prepared: Prepared,
  twin: CaseResult | null = null,
  kept: KeptCase | null = null,
): CaseResult {
  const { turned, regions } = prepared;
  const bars = kept?.result.bars ?? barsOn(c, turned, input, twin);
  const outline = (kept?.result ?? twin)?.outline ?? outlineOf(turned);
  const scope = { input, c, prepared, outline, bars, twin, kept };
  const drawn: LayerResult[] = [];
  for (const layer of prepared.drawn)
    drawn.push(isPlaced(layer) ? drawPlaced(layer, scope) : drawGround(layer, scope));
  const together = measureTogether(drawn, scope);
  if (kept?.judgedAlike && together === kept.result) return kept.result;
  const breaches = judge(together, scope);
  return new CaseResult({
    id: c.id,
    screenId: c.screen.id,
    rotation: c.rotation,
    orientation: turned.orientation,
    appearance: c.appearance,
    regions,
    outline,
    bars,
    layers: together.layers,
    barContrast: together.barContrast,
    breaches,
    outcome: outcomeOf(breaches),
  });
}

/** A case that was surveyed. */
interface Surveyed {
  c: Case;
  prepared: Prepared;
  result: CaseResult;
}

/** What was found of one case, said of another one that cannot be told apart from it: only what is accepted hangs on its screen. */
function saidOf({ screen, rotation, id }: Case, of: CaseResult, { accepted = [] }: SurveyInput): CaseResult {
  const bare = of.breaches.map((b) => (b.accepted === undefined ? b : openAgain(b)));
  const breaches =
    accepted.length > 0 ? withAccepted(bare, { caseId: id, screenId: screen.id }, accepted) : bare;
  return new CaseResult({
    ...of,
    id,
    screenId: screen.id,
    rotation,
    orientation: orientationOf(screen, rotation),
    breaches,
    outcome: outcomeOf(breaches),
  });
}

/**
 * Surveys cases as they are asked for; those that cannot be told apart once. Where a case is the one asked for before it in the other appearance, and its
 * files are alike in size, what does not hang on the appearance is taken from there; ask for the two one after another.
 * @param earlier a survey of the same cases: what an edit since has not touched is taken from there. Results share what
 *   they have in common, so none may be changed.
 */
export function createSurvey(input: SurveyInput, earlier: Earlier | null = null): (c: Case) => Surveyed {
  const unchanged = earlier && unchangedSince(input, earlier);
  const keptOf = (c: Case): KeptCase | null => {
    const found = unchanged && earlier!.found.get(c.id);
    return found?.prepared.turned.screen === c.screen ? new KeptCase(found, unchanged!) : null;
  };
  let before: Surveyed | null = null;
  const alike = new Map<string, Surveyed>();
  return (c) => {
    const key = likeness(c);
    const same = alike.get(key);
    if (same) return c === same.c ? same : { ...same, c, result: saidOf(c, same.result, input) };
    const kept = keptOf(c);
    const twin = before && prepareTwin(input, c, before, kept);
    const prepared = twin ?? (kept ? prepareAgain(input, c, kept) : prepareCase(input, c));
    const result = surveyPrepared(input, c, prepared, twin && before!.result, kept);
    before = { c, prepared, result };
    alike.set(key, before);
    return before;
  };
}

/** Surveys one case after another, the two appearances together, and hands each result over. */
export function surveyEach(
  input: SurveyInput,
  cases: readonly Case[],
  visit: (result: CaseResult, c: Case) => void,
  earlier: Earlier | null = null,
): void {
  const next = createSurvey(input, earlier);
  for (const c of cases) visit(next(c).result, c);
}

/** The one call behind the screen, the server, the command line and the exit code. */
export function survey(
  input: SurveyInput,
  cases: readonly Case[],
  earlier: Earlier | null = null,
): CaseResult[] {
  const results: CaseResult[] = [];
  surveyEach(input, cases, (result) => results.push(result), earlier);
  return results;
}
