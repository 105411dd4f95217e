import { breachId, byOutcome, gravestOfEach, worse, type Breach, type Outcome } from '../measure/judge';
import type { MeasureName, MeasureSide } from '../measure/limit';
import type { Case } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import type { CaseResult } from '../survey/survey';

/** One case on which a finding holds. */
export interface FoundOn {
  caseId: string;
  breach: Breach;
}

/** One thing that is wrong with one layer, on however many cases. */
export interface Finding {
  /** stays the same for as long as it is the same thing on the same layer */
  id: string;
  layerId: string;
  measure: MeasureName;
  side?: MeasureSide;
  /** the worst of all its cases */
  outcome: Outcome;
  /** the case on which the limit is passed by most */
  worst: FoundOn;
  on: FoundOn[];
  /** how much of all weight its cases have, 0..1 */
  weight: number;
  /** number of its cases that hinge on approximate figures of their screens */
  approximate: number;
  /** the reason for which it is accepted, where it is on all of its cases */
  accepted: string | null;
}

/** The figures of a screen that a measure hinges on. */
const HINGES: Partial<Record<MeasureName, readonly string[]>> = {
  'clearance-safe': ['insets', 'cutouts'],
  'under-cutout': ['cutouts'],
  'keep-hidden': ['cutouts', 'cornerRadius'],
  'outside-corner': ['cornerRadius'],
  'under-bar': ['bars'],
  'bar-contrast': ['bars'],
  'bare-screen': ['insets'],
  'off-centre-safe': ['insets'],
};

const hingesOnApproximate = ({ screen }: Case, measure: MeasureName) => {
  const fields = HINGES[measure] ?? [];
  return screen.approximate.some((a) => fields.some((f) => a.startsWith(f)));
};

/** What of a case says what is wrong with it. */
export type Judged = Pick<CaseResult, 'id' | 'breaches'>;

/** What is wrong over all cases, gravest and most frequent first; what is accepted everywhere comes last. */
export function findingsOf(results: readonly Judged[], cases: readonly Case[]): Finding[] {
  const weights = weightsOf(cases);
  const caseOf = new Map(cases.map((c) => [c.id, c]));
  const groups = new Map<string, FoundOn[]>();
  for (const result of results) {
    for (const breach of gravestOfEach(result.breaches)) {
      const id = breachId(breach);
      const group = groups.get(id) ?? [];
      group.push({ caseId: result.id, breach });
      groups.set(id, group);
    }
  }
  const findings = [...groups].map(([id, on]): Finding => {
    const { layerId, limit } = on[0]!.breach;
    const open = on.filter((f) => !f.breach.accepted);
    const graver = (a: FoundOn, b: FoundOn) =>
      byOutcome(a.breach.limit.outcome, b.breach.limit.outcome) || b.breach.by - a.breach.by;
    return {
      id,
      layerId,
      measure: limit.measure,
      ...(limit.side && { side: limit.side }),
      outcome: open.reduce<Outcome>((o, f) => worse(o, f.breach.limit.outcome), 'clear'),
      worst: (open.length > 0 ? open : on).toSorted(graver)[0]!,
      on,
      weight: open.reduce((sum, f) => sum + (weights.get(f.caseId) ?? 0), 0),
      approximate: on.filter((f) => hingesOnApproximate(caseOf.get(f.caseId)!, limit.measure)).length,
      accepted: open.length === 0 ? on[0]!.breach.accepted! : null,
    };
  });
  return findings.toSorted((a, b) => byOutcome(a.outcome, b.outcome) || b.weight - a.weight);
}

/** How much is wrong in all: the weight of each finding on each case, failures twice. */
export function score(findings: readonly Finding[], cases: readonly Case[]): number {
  const weights = weightsOf(cases);
  // A case of no weight at all still counts for something: an unpopular screen is a screen.
  const least = 1 / (100 * Math.max(1, cases.length));
  return findings.reduce(
    (sum, f) =>
      sum +
      f.on.reduce((own, { caseId, breach }) => {
        if (breach.accepted) return own;
        return own + (least + (weights.get(caseId) ?? 0)) * (breach.limit.outcome === 'fail' ? 2 : 1);
      }, 0),
    0,
  );
}
