import type { Bounds } from '../measure/judge';
import type { MeasureRule, Rule } from '../measure/descriptor';
import { MEASURE, type MeasureName } from '../measure/limit';

interface Broken {
  limit: Bounds & { measure: MeasureName };
  value: number;
}

/** What is wrong, as exactly as it can be said of all of these: breaches of one measure, at least one. */
export function ruleOf(broken: readonly Broken[]): Rule {
  const { id, word, under, over }: MeasureRule = MEASURE[broken[0]!.limit.measure].rule;
  const low = broken.filter(({ limit, value }) => limit.min !== undefined && value < limit.min).length;
  if (!under || !over || (low > 0 && low < broken.length)) return { id, word };
  return low > 0 ? under : over;
}
