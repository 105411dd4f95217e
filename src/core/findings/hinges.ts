import type { MeasureName } from '../measure/limit';
import type { Screen } from '../screens/screen';

/** The figures of a screen that a measure hinges on. */
const HINGES: Partial<Record<MeasureName, readonly string[]>> = {
  'clearance-safe': ['insets', 'cutouts'],
  'under-cutout': ['cutouts'],
  'keep-hidden': ['cutouts', 'cornerRadius'],
  'outside-corner': ['cornerRadius'],
  'under-bar': ['bars'],
  'bar-contrast': ['bars'],
  'bare-screen': ['insets'],
  'off-centre-safe': ['insets'],
};

/** The figures that a measure hinges on and that are only approximate of a screen. */
export function hingesOn(measure: MeasureName, { approximate }: Screen): string[] {
  const fields = HINGES[measure] ?? [];
  return fields.filter((f) => approximate.some((a) => a.startsWith(f)));
}
