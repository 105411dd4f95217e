import { byOutcome, worse, type Outcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import { weightsOf } from '../screens/weights';
import {
  createFaults,
  LAUNCH_LIMITS,
  LAUNCH_RULES,
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
}

const outcomeFor = (rule: LaunchRule, value: number): Outcome => {
  const { warn, fail } = LAUNCH_LIMITS[rule];
  if (value > fail) return 'fail';
  return value > warn + 1e-9 ? 'warn' : 'clear';
};

/** What is wrong with a launch over all cases: gravest first, then in the order of the rules. */
export function launchFindings(asked: LaunchAsked): LaunchFinding[] {
  const faultsOn = createFaults(asked);
  const weights = weightsOf(asked.cases);
  const found = new Map<string, { finding: LaunchFinding; worst: LaunchFault }>();
  for (const c of asked.cases) {
    for (const fault of faultsOn(c)) {
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
  return [...found.values()]
    .map(({ finding, worst }) => ({ ...finding, worst: { ...finding.worst, ...worst.say() } }))
    .toSorted((a, b) => byOutcome(a.outcome, b.outcome) || order(a) - order(b) || b.weight - a.weight);
}
