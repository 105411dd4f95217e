import { filesOf, type Documents } from '../project/documents';
import { applyPatch } from '../patch/patch';
import { Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { resultsOf, surveyAgain } from '../survey/again';
import type { Earlier } from '../survey/earlier';
import { survey, surveyInput, type Outside } from '../survey/survey';
import { tally } from '../solve/summary';
import type { Outcome } from '../measure/judge';
import { findingsOf, score, type Finding } from './finding';
import { costsOf } from './costs';
import type { Mend, Sick } from './mend';
import { candidates } from './mends/all';
import { akinTo } from './mends/pictures';

/** A mend that was tried on all cases. */
export interface Advice extends Mend {
  /** number of cases on which the finding is gone, of those on which it was */
  clears: number;
  /** findings that are new or on more cases than before, with how many more */
  costs: { finding: Finding; more: number }[];
  /** how much less is wrong in all; larger is better */
  gain: number;
  /** number of cases that end with each outcome without it and with it */
  outcomes: { was: Outcomes; is: Outcomes };
}
type Outcomes = Record<Outcome, number>;

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
export const findingsIn = (asked: AdviceAsked): Finding[] =>
  findingsOf(survey(inputFor(asked, asked.documents), asked.cases, asked.earlier), asked.cases);

/** On how many cases a finding is that nobody has accepted. */
export const openOn = (f: Finding | undefined) => f?.on.filter(({ breach }) => !breach.accepted).length ?? 0;

/** What is wrong after a mend, unless the scene can then not be drawn. */
function tried(asked: AdviceAsked, mend: Mend): { findings: Finding[]; outcomes: Outcomes } | null {
  const documents = applyPatch(asked.documents, mend.patch);
  if (!Scene.safeParse(documents.scenes[asked.sceneId]).success) return null;
  if (asked.allows && !asked.allows(documents)) return null;
  try {
    const results = survey(inputFor(asked, documents), asked.cases, asked.earlier);
    return { findings: findingsOf(results, asked.cases), outcomes: tally(results) };
  } catch {
    // A rule that closes a circle, or a layer that has no shape of its own.
    return null;
  }
}

/** The files beside those of the scene that mends of a finding are tried with: without their pixels nothing is known of contrast. */
export function filesTried({ project, scenes }: Documents, sceneId: string, finding: Finding): string[] {
  const layer = scenes[sceneId]?.layers.find((l) => l.id === finding.layerId);
  const own = layer?.kind === 'picture' && project.pictures.find((p) => p.id === layer.picture);
  return own ? filesOf(akinTo(own, project.pictures)) : [];
}

/** How many of the changes that could mend a finding were tried. */
export interface Progress {
  tried: number;
  of: number;
}

/**
 * What would mend a finding, the best first: every candidate is tried on all cases, and those are kept with which the
 * finding is gone on some case and less is wrong in all. Stops after each candidate to say how far it is.
 */
export function* advising(asked: AdviceAsked, finding: Finding, most = 6): Generator<Progress, Advice[]> {
  const { documents, sceneId, cases, newId } = asked;
  const scene = documents.scenes[sceneId]!;
  const input = inputFor(asked, documents);
  const earlier = surveyAgain(input, cases, asked.earlier ?? null);
  const results = resultsOf(earlier, cases);
  const before = findingsOf(results, cases);
  const total = score(before, cases);
  const was = tally(results);
  const layer = scene.layers.find((l) => l.id === finding.layerId);
  const sick: Sick = { documents, scene, layer, finding, cases, input, results, newId };
  const found: Advice[] = [];
  const mends = candidates(sick);
  for (const [i, mend] of mends.entries()) {
    yield { tried: i, of: mends.length };
    const after = tried({ ...asked, earlier }, mend);
    if (!after) continue;
    const gain = total - score(after.findings, cases);
    const clears = openOn(finding) - openOn(after.findings.find((f) => f.id === finding.id));
    if (clears <= 0 || gain <= 1e-9) continue;
    const outcomes = { was, is: after.outcomes };
    found.push({ ...mend, clears, costs: costsOf(before, after.findings, openOn), gain, outcomes });
  }
  return found.toSorted((a, b) => b.gain - a.gain).slice(0, most);
}

/** Advice on one finding, without a stop in between. */
export function advise(asked: AdviceAsked, finding: Finding, most?: number): Advice[] {
  const steps = advising(asked, finding, most);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
