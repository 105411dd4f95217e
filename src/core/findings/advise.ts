import { filesOf, type Documents } from '../project/documents';
import { applyPatch } from '../patch/patch';
import { Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { resultsOf, surveyAgain } from '../survey/again';
import type { Earlier } from '../survey/earlier';
import { survey, surveyInput, type Outside } from '../survey/survey';
import { tally, type OutcomeCounts } from '../solve/summary';
import { weightsOf } from '../screens/weights';
import { findingsOf, type SceneFinding } from './scene';
import { runThrough, trying, type Helps, type Progress } from './trying';
import type { Mend, Sick } from './mend';
import { candidates } from './mends/all';
import { akinTo } from './mends/pictures';

/** A mend that was tried on all cases. */
export interface Advice extends Mend, Helps<SceneFinding> {
  /** number of cases that end with each outcome without it and with it */
  outcomes: { was: OutcomeCounts; is: OutcomeCounts };
}

export interface AdviceAsked {
  documents: Documents;
  sceneId: string;
  cases: readonly Case[];
  outside: Outside;
  newId: () => string;
  /** a survey of the same cases, of which what still holds is taken over */
  earlier?: Earlier | null;
  /** whether whatever draws the scene can do what a mend asks for; all of it when absent */
  allows?: (after: Documents) => boolean;
}

const inputFor = ({ sceneId, outside }: AdviceAsked, documents: Documents) =>
  surveyInput(documents, documents.scenes[sceneId]!, outside);

/** What is wrong with a scene over all cases. */
export function findingsIn(asked: AdviceAsked): SceneFinding[] {
  const input = inputFor(asked, asked.documents);
  return findingsOf(input.scene, survey(input, asked.cases, asked.earlier), asked.cases);
}

/** What is wrong after a mend, unless the scene can then not be drawn. */
function after(asked: AdviceAsked, mend: Mend, was: OutcomeCounts) {
  const documents = applyPatch(asked.documents, mend.patch);
  if (!Scene.safeParse(documents.scenes[asked.sceneId]).success) return null;
  if (asked.allows && !asked.allows(documents)) return null;
  try {
    const input = inputFor(asked, documents);
    const results = survey(input, asked.cases, asked.earlier);
    const outcomes = { was, is: tally(results) };
    return { findings: findingsOf(input.scene, results, asked.cases), more: { outcomes } };
  } catch {
    // A rule that closes a circle, or a layer that has no shape of its own.
    return null;
  }
}

/** The files beside those of the scene that mends of a finding are tried with: without their pixels nothing is known of contrast. */
export function filesTried({ project, scenes }: Documents, sceneId: string, finding: SceneFinding): string[] {
  const layer = scenes[sceneId]?.layers.find((l) => l.id === finding.subject.id);
  const own = layer?.kind === 'picture' && project.pictures.find((p) => p.id === layer.picture);
  return own ? filesOf(akinTo(own, project.pictures)) : [];
}

/**
 * What would mend a finding of a scene, the best first: every candidate is tried on all cases. Stops before each to say how
 * far it is.
 */
export function* advising(
  asked: AdviceAsked,
  finding: SceneFinding,
  most = 6,
): Generator<Progress, Advice[]> {
  const { documents, sceneId, cases, newId } = asked;
  const scene = documents.scenes[sceneId]!;
  const input = inputFor(asked, documents);
  const earlier = surveyAgain(input, cases, asked.earlier ?? null);
  const results = resultsOf(earlier, cases);
  const was = tally(results);
  const layer = scene.layers.find((l) => l.id === finding.subject.id);
  const sick: Sick = { documents, scene, layer, finding, cases, input, results, newId };
  return yield* trying({
    finding,
    before: findingsOf(scene, results, cases),
    weights: weightsOf(cases),
    candidates: candidates(sick),
    after: (mend) => after({ ...asked, earlier }, mend, was),
    most,
  });
}

/** Advice on one finding, without a stop in between. */
export const advise = (asked: AdviceAsked, finding: SceneFinding, most?: number): Advice[] =>
  runThrough(advising(asked, finding, most));
