import { byOutcome, type Outcome } from '../measure/judge';
import { isSameValue } from './figures';
import type { Direction } from './schema';

/** A figure as far as it says whether it got worse. */
interface Stands {
  outcome: Outcome;
  /** by how much it is beyond its limit */
  by: number;
  value: number | null;
}

const CLEAR: Stands = { outcome: 'clear', by: 0, value: null };

/**
 * Whether a figure got worse: a graver outcome, or further beyond its limit under the same one. What was not looked at then
 * counts as clear.
 * @returns `null` where nothing has changed
 */
export function directionOf(before: Stands | null, after: Stands): Direction | null {
  const was = before ?? CLEAR;
  const order = byOutcome(after.outcome, was.outcome);
  if (order !== 0) return order < 0 ? 'worse' : 'better';
  if (!isSameValue(was.by, after.by)) return after.by > was.by ? 'worse' : 'better';
  return before === null || isSameValue(was.value, after.value) ? null : 'other';
}
