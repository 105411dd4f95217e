import { MEASURE, type MeasureName } from '../measure/limit';
import type { Screen } from '../screens/screen';

/** The figures that a measure hinges on and that are only approximate of a screen. */
export const hingesOn = (measure: MeasureName, { approximate }: Screen): string[] =>
  MEASURE[measure].hinges.filter((f) => approximate.some((a) => a.startsWith(f)));
