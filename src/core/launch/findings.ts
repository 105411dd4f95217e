import { byOutcome, worse, type Outcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import {
  createFaults,
  LAUNCH_LIMITS,
  LAUNCH_RULES,
  type LaunchKept,
  type Launched,
  type LaunchFault,
  type LaunchRule,
} from './faults';

export interface LaunchFinding extends Omit<LaunchFault, 'value' | 'say'> {
  id: string;
  outcome: Outcome;
  worst: { caseId: string; value: number; said: string; because: string[] };
  on: { caseId: string; value: number; outcome: Outcome }[];
  /** how much of all weight its cases have, 0..1 */
  weight: number;
}

export interface LaunchAsked extends Launched {
  cases: readonly Case[];
  /** what was found before an edit, with the same pixels */
  earlier?: LaunchKept | null;
}

/** What is wrong with a launch, and what is known of it for the next look. */
export interface LaunchFound {
  findings: LaunchFinding[];
  kept: LaunchKept;
}

const outcomeFor = (rule: LaunchRule, value: number): Outcome => {
  const { warn, fail } = LAUNCH_LIMITS[rule];
  if (value > fail) return 'fail';
  return value > warn + 1e-9 ? 'warn' : 'clear';
};

/** What is wrong with a launch over all cases: gravest first, then in the order of the rules. */
export function findInLaunch(asked: LaunchAsked): LaunchFound {
  const faults = createFaults(asked, asked.earlier ?? null);
  const weights = weightsOf(asked.cases);
  const found = new Map<string, { finding: LaunchFinding; worst: LaunchFault }>();
  for (const c of asked.cases) {
    for (const fault of faults.on(c)) {
      const outcome = outcomeFor(fault.rule, fault.value);
      if (outcome === 'clear') continue;
      const { rule, stage, about, value } = fault;
      const id = `${rule} ${stage} ${about}`.trim();
      const worst = { caseId: c.id, value, said: '', because: [] };
      const entry = found.get(id) ?? {
        finding: { id, rule, stage, about, outcome, worst, on: [], weight: 0 },
        worst: fault,
      };
      const { finding } = entry;
      finding.on.push({ caseId: c.id, value, outcome });
      finding.weight += weights.get(c.id) ?? 0;
      finding.outcome = worse(finding.outcome, outcome);
      if (value > finding.worst.value) {
        finding.worst = worst;
        entry.worst = fault;
      }
      found.set(id, entry);
    }
  }
  const order = (f: LaunchFinding) => LAUNCH_RULES.indexOf(f.rule);
  const findings = [...found.values()]
    .map(({ finding, worst }) => ({ ...finding, worst: { ...finding.worst, ...worst.say() } }))
    .toSorted((a, b) => byOutcome(a.outcome, b.outcome) || order(a) - order(b) || b.weight - a.weight);
  return { findings, kept: faults.kept() };
}

export const launchFindings = (asked: LaunchAsked): LaunchFinding[] => findInLaunch(asked).findings;
