/** Numbers from `low` to `high`, both included. */
export interface Interval {
  low: number;
  high: number;
}

export const UNIT: Interval = { low: 0, high: 1 };
export const EVERYTHING: Interval = { low: -Infinity, high: Infinity };

/** What both hold; `null` when that is nothing. */
export function common(a: Interval, b: Interval): Interval | null {
  const low = Math.max(a.low, b.low);
  const high = Math.min(a.high, b.high);
  return low <= high ? { low, high } : null;
}
