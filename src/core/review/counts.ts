import type { Finding } from '../findings/finding';
import { worse, type Outcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import type { OutcomeCounts } from '../solve/summary';
import type { FoundCounts, Review, ReviewFinding } from './schema';

/** The worst of several findings on each case on which there is one that is not accepted. */
function outcomesOf(findings: readonly Pick<Finding, 'cases'>[]): Map<string, Outcome> {
  const on = new Map<string, Outcome>();
  for (const { cases } of findings)
    for (const { caseId, outcome, accepted } of cases)
      if (accepted === undefined) on.set(caseId, worse(on.get(caseId) ?? 'clear', outcome));
  return on;
}

/**
 * Numbers of cases by the worst that is found on each, and their shares of all weight.
 * @param weights of all cases, which sum to 1
 */
export function caseCounts(
  findings: readonly Pick<Finding, 'cases'>[],
  cases: readonly Case[],
  weights: ReadonlyMap<string, number>,
): { counts: OutcomeCounts; weights: OutcomeCounts } {
  const on = outcomesOf(findings);
  const found = {
    counts: { fail: 0, warn: 0, clear: 0 },
    weights: { fail: 0, warn: 0, clear: 0 },
  };
  for (const { id } of cases) {
    const outcome = on.get(id) ?? 'clear';
    found.counts[outcome]++;
    found.weights[outcome] += weights.get(id)!;
  }
  return found;
}

/** Numbers of findings: those that fail and warn, and those that are accepted wherever they are. */
export function foundCounts(findings: readonly Pick<Finding, 'outcome'>[]): FoundCounts {
  const found: FoundCounts = { fail: 0, warn: 0, accepted: 0 };
  for (const { outcome } of findings) found[outcome === 'clear' ? 'accepted' : outcome]++;
  return found;
}

/** Every finding of a review, in its order. */
export const allFindings = ({ scenes, launches, files }: Review): ReviewFinding[] =>
  [...scenes, ...launches, ...files].flatMap((part) => part.findings);
