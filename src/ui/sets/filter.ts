import { kindGroupOf } from '@/core/screens/kinds';
import type { Screen } from '@/core/screens/screen';
import { matchesText } from '@/core/screens/search';

export interface Filter {
  text: string;
  /** of `KIND_GROUPS`; all when empty */
  kind: string;
  whose: '' | 'catalogue' | 'own';
  /** lu of the shorter side; NaN for any */
  from: number;
  to: number;
  /** at least so much weight */
  weight: number;
}

export const NO_FILTER: Filter = { text: '', kind: '', whose: '', from: NaN, to: NaN, weight: NaN };

/** The screens that a filter lets through. */
export function filtered(screens: readonly Screen[], filter: Filter): Screen[] {
  const { text, kind, whose, from, to, weight } = filter;
  return screens.filter((s) => {
    const short = Math.min(s.width, s.height);
    return (
      matchesText(s, text) &&
      (kind === '' || kindGroupOf(s).id === kind) &&
      (whose === '' || (s.origin === 'catalogue') === (whose === 'catalogue')) &&
      !(short < from || short > to || s.weight < weight)
    );
  });
}
