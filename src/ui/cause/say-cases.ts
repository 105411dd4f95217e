import { sayWeight } from '@/core/words/numbers';
import type { Advice } from '@/core/findings/advise';
import { openCases, type Finding } from '@/core/findings/finding';
import { sayByOutcome } from '@/core/findings/say-open';
import { OUTCOMES, type Outcome } from '@/core/measure/judge';
import { countCases, OUTCOME_SHAPES } from '../words';

/**
 * On how many cases something is, and how much they weigh; what is accepted is counted apart from what is open.
 * @param open the outcome on each case, both appearances, that is not accepted
 * @param accepted how many are
 * @param weight of those that are not accepted, 0..1
 */
export function sayCases(open: readonly Outcome[], accepted: number, weight: number): string {
  if (open.length === 0) return `${countCases(accepted)}, accepted`;
  const said = `${sayByOutcome(open)}, ${sayWeight(weight)} of the weight`;
  return accepted > 0 ? `${said}; ${accepted} more accepted` : said;
}

/** On how many cases a finding is, as `sayCases` says it. */
export const sayFindingCases = (f: Pick<Finding, 'cases' | 'weight'>): string => {
  const open = openCases(f);
  return sayCases(
    open.map((c) => c.outcome),
    f.cases.length - open.length,
    f.weight,
  );
};

/** “, ▲ 278 → 106, ○ 40 → 212”: what a mend does to the outcomes of all cases; of none nothing. */
export const sayOutcomes = ({ outcomes: { was, is } }: Pick<Advice, 'outcomes'>): string =>
  OUTCOMES.filter((o) => was[o] !== is[o])
    .map((o) => `, ${OUTCOME_SHAPES[o]} ${o} ${was[o]} → ${is[o]}`)
    .join('');
