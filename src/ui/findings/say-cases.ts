import { sayWeight } from '@/core/words/numbers';
import type { Advice } from '@/core/findings/advise';
import { OUTCOMES } from '@/core/measure/judge';
import { countCases, OUTCOME_SHAPES } from '../words';

/**
 * On how many cases a finding is, and how much they weigh; what is accepted is counted apart from what is open.
 * @param on all cases, both appearances, those that are drawn alike each
 * @param accepted how many of them
 * @param weight of those that are not accepted, 0..1
 */
export function sayCases(on: number, accepted: number, weight: number): string {
  if (accepted === on) return `${countCases(on)}, accepted`;
  const open = `${countCases(on - accepted)}, ${sayWeight(weight)} of the weight`;
  return accepted > 0 ? `${open}; ${accepted} more accepted` : open;
}

/** “, ▲ 278 → 106, ○ 40 → 212”: what a mend does to the outcomes of all cases; of none nothing. */
export const sayOutcomes = ({ outcomes: { was, is } }: Pick<Advice, 'outcomes'>): string =>
  OUTCOMES.filter((o) => was[o] !== is[o])
    .map((o) => `, ${OUTCOME_SHAPES[o]} ${o} ${was[o]} → ${is[o]}`)
    .join('');
