import { breachId, breaks, gravestOfEach, type Breach } from '../measure/judge';
import { MEASURE, type MeasureName } from '../measure/limit';
import { ownerName, sayFigure, sayLimit } from '../measure/words';
import type { Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import type { CaseResult, SurveyInput } from '../survey/survey';
import { causeOf } from './because';
import { placeOfCut } from './cut-outside';
import { inOrder, sumUp, type Finding, type FoundOn, type JudgedOn } from './finding';
import { hingesOn } from './hinges';
import { ruleOf } from './rule';

/** One thing that is wrong with a layer, a bar, or a scene as a whole. */
export interface SceneFinding extends Finding {
  source: 'scene';
  measure: MeasureName;
  worst: Finding['worst'] & { caseId: string; limit: Breach['limit'] };
  limits: Breach['limit'][];
}

/** What of a case says what is wrong with it. */
export type Judged = Pick<CaseResult, 'id' | 'breaches'>;

type JudgedOnCase = JudgedOn<Breach['limit']>;

function findingOf(
  id: string,
  on: readonly JudgedOnCase[],
  scene: Scene,
  caseOf: ReadonlyMap<string, Case>,
  weights: ReadonlyMap<string, number>,
): SceneFinding {
  const { subjectId, limit } = on[0]!.breach;
  const { measure, side } = limit;
  const { gravest, common } = sumUp<Breach['limit'], JudgedOnCase>(on, weights);
  const rule = ruleOf(on.map((f) => f.breach));
  const hinges = on.map((f) => hingesOn(measure, caseOf.get(f.caseId)!.screen)).filter((h) => h.length > 0);
  return {
    id,
    source: 'scene',
    in: { id: scene.id, name: scene.name },
    subject: { id: subjectId, name: ownerName(subjectId, scene.layers) },
    rule: rule.id,
    word: rule.word,
    measure,
    ...(side && { side }),
    ...common,
    said: `${sayFigure(measure, gravest.breach.value)}; ${sayLimit(gravest.breach.limit)}`,
    hingesOn: [...new Set(hinges.flat())].toSorted(),
    approximate: hinges.length,
  };
}

/** What is wrong with a scene over all cases. */
export function findingsOf(scene: Scene, results: readonly Judged[], cases: readonly Case[]): SceneFinding[] {
  const weights = weightsOf(cases);
  const caseOf = new Map(cases.map((c) => [c.id, c]));
  const groups = new Map<string, JudgedOnCase[]>();
  for (const result of results) {
    for (const breach of gravestOfEach(result.breaches)) {
      const id = breachId(breach);
      const group = groups.get(id) ?? [];
      group.push({ caseId: result.id, breach });
      groups.set(id, group);
    }
  }
  return inOrder([...groups].map(([id, on]) => findingOf(id, on, scene, caseOf, weights)));
}

/** What is wrong on some cases of a finding, which may be said more exactly than of all of them. */
export function wordOn({ measure, limits }: SceneFinding, on: readonly FoundOn[]): string {
  const broken = on.flatMap(({ value, outcome }) => {
    const limit = limits.find((l) => l.outcome === outcome && breaks(l, value));
    return limit ? [{ limit, value }] : [];
  });
  return broken.length > 0 ? ruleOf(broken).word : MEASURE[measure].rule.word;
}

/**
 * Where each finding that is not accepted is caused: with the first part of a rule that its reasons lead to and that could clear it
 * by itself, on the case where it is worst.
 */
export const withParts = (
  input: SurveyInput,
  findings: readonly SceneFinding[],
  cases: readonly Case[],
): SceneFinding[] =>
  findings.map((finding) => {
    if (finding.accepted !== null) return finding;
    const part = placeOfCut(input, finding, cases) ?? causeOf(input, finding, cases);
    return part ? { ...finding, part } : finding;
  });
