import { steps } from '@/core/explain/reason';
import { advise } from '@/core/findings/advise';
import { because } from '@/core/findings/because';
import { inShort, textOf } from '@/core/findings/in-short';
import { findingsOf, type SceneFinding } from '@/core/findings/scene';
import { applyPatch } from '@/core/patch/patch';
import type { Documents } from '@/core/project/documents';
import type { Review, ReviewFinding } from '@/core/review/schema';
import type { Scene } from '@/core/scene/scene';
import type { Case } from '@/core/screens/cases';
import { countedFor } from '@/core/icons/slots';
import { distinctCases } from '@/core/screens/likeness';
import { caseName } from '@/core/screens/words';
import { layerSentence } from '@/core/sentences/layer';
import { sentenceText } from '@/core/sentences/parts';
import { tellingCases } from '@/core/solve/telling';
import { resultsOf, surveyAgain } from '@/core/survey/again';
import type { Earlier } from '@/core/survey/earlier';
import { surveyCase, surveyInput, type CaseResult, type Outside } from '@/core/survey/survey';
import { captionOf } from '../caption';
import { byCause } from './by-cause';
import type { ReportedFinding, ReportedPart, Shot } from './report';
import { shotOf, type Surfaces } from './shots';

/** What is the same for every part of a report. */
export interface Told {
  documents: Documents;
  cases: readonly Case[];
  outside: Outside;
  surfaces: Surfaces;
  /** hears of each picture that is made, and waits */
  onStep: () => Promise<void>;
}

/** One scene as it was surveyed. */
interface Surveyed extends Told {
  scene: Scene;
  earlier: Earlier;
  results: readonly CaseResult[];
  findings: readonly SceneFinding[];
}

/** Of a scene so many cases are shown. */
const MOST_TELLING = 8;
/** Of a scene so many findings are shown with pictures and a mend, the gravest first. */
export const MOST_PICTURED = 8;

/** @returns ids that nobody keeps: of a mend only its words and its outcome are told */
function createIds(): () => string {
  let next = 0;
  return () => `new-${++next}`;
}

async function telling({ scene, cases, results, surfaces, onStep }: Surveyed): Promise<Shot[]> {
  const distinct = distinctCases(cases);
  const byId = new Map(results.map((r) => [r.id, r]));
  const shown = distinct.map((d) => d.shown);
  const ofShown = shown.map((c) => byId.get(c.id)!);
  const alike = new Map(distinct.map((d) => [d.shown.id, d.alike.length]));
  const shots: Shot[] = [];
  for (const c of tellingCases(shown, ofShown, MOST_TELLING)) {
    const result = byId.get(c.id)!;
    const caption = captionOf(c, result, alike.get(c.id) ?? 0, scene.layers);
    shots.push(await shotOf(result, { caption, outcome: result.outcome }, surfaces));
    await onStep();
  }
  return shots;
}

/** The worst case of a finding as it is, and with what would help most. */
async function pictured(
  found: SceneFinding,
  { documents, scene, cases, outside, earlier, results, surfaces }: Surveyed,
): Promise<Pick<ReportedFinding, 'shots' | 'mend'>> {
  const sceneId = scene.id;
  const c = cases.find(({ id }) => id === found.worst.caseId)!;
  const before = results.find(({ id }) => id === c.id)!;
  const name = `${caseName(c)}, ${c.appearance}`;
  const shots = [await shotOf(before, { caption: [name, 'as it is'], outcome: before.outcome }, surfaces)];
  const [best] = advise({ documents, sceneId, cases, outside, earlier, newId: createIds() }, found, 1);
  if (!best) return { shots, mend: null };
  const mended = applyPatch(documents, best.patch);
  const after = surveyCase(surveyInput(mended, mended.scenes[sceneId]!, outside), c);
  shots.push(await shotOf(after, { caption: [name, 'with the mend'], outcome: after.outcome }, surfaces));
  const { label, clears, outcomes } = best;
  return { shots, mend: { label, clears, ...outcomes } };
}

async function reported(finding: ReviewFinding, rank: number, scene: Surveyed): Promise<ReportedFinding> {
  const found = scene.findings.find(({ id }) => id === finding.id)!;
  const input = surveyInput(scene.documents, scene.scene, scene.outside);
  const why = steps(because(input, found, scene.cases)).map(({ reason, depth }) => ({
    text: reason.text,
    depth,
  }));
  const more = rank < MOST_PICTURED ? await pictured(found, scene) : { shots: [], mend: null };
  await scene.onStep();
  return { finding, short: textOf(inShort(input, found, scene.cases)), why, ...more };
}

/** What is said of a scene. @param judged the scene in the review */
export async function reportScene(judged: Review['scenes'][number], told: Told): Promise<ReportedPart> {
  const { documents, outside } = told;
  const scene = documents.scenes[judged.id]!;
  const cases = countedFor(scene, documents.project, told.cases);
  const earlier = surveyAgain(surveyInput(documents, scene, outside), cases, null);
  const results = resultsOf(earlier, cases);
  const surveyed: Surveyed = {
    ...told,
    cases,
    scene,
    earlier,
    results,
    findings: findingsOf(scene, results, cases),
  };
  const open = judged.findings.filter((f) => f.accepted === null);
  const findings: ReportedFinding[] = [];
  for (const [rank, finding] of open.entries()) findings.push(await reported(finding, rank, surveyed));
  const { named, fonts, pictures } = documents.project;
  const names = { layers: scene.layers, named, fonts };
  const sentenceOf = (id: string) => {
    const layer = scene.layers.find((l) => l.id === id);
    return layer && sentenceText(layerSentence(layer, names, pictures));
  };
  return { id: scene.id, telling: await telling(surveyed), causes: byCause(findings, sentenceOf) };
}

/** How many steps `reportScene` will say. */
export const stepsOfScene = ({ findings }: Review['scenes'][number]): number =>
  findings.filter((f) => f.accepted === null).length + MOST_TELLING;
