import type { Outcome } from '../measure/judge';
import { countCases } from '../words/words';
import { openCases, type Finding } from './finding';

/** On how many cases, by outcome: “190 cases fail, 220 warn”; without the words where all of them are as the finding says. */
export function sayByOutcome(outcomes: readonly Outcome[]): string {
  const fail = outcomes.filter((o) => o === 'fail').length;
  const warn = outcomes.length - fail;
  if (fail === 0 || warn === 0) return countCases(outcomes.length);
  return `${countCases(fail)} that ${fail === 1 ? 'fails' : 'fail'} and ${warn} that ${warn === 1 ? 'warns' : 'warn'}`;
}

/**
 * On how many cases a finding is that nobody has accepted. One that fails on some and only warns on others says both, so that
 * nobody takes all of them for failures.
 */
export const sayOpenCases = (f: Pick<Finding, 'cases'>): string =>
  sayByOutcome(openCases(f).map((c) => c.outcome));
