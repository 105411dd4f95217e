import { gravest, type Breach } from '../measure/judge';
import type { Case } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { resized } from '../screens/resized';
import { turnedSize } from '../screens/turn';
import { surveyCase, type SurveyInput } from '../survey/survey';

/** The least change of one side of a screen that makes it fail. */
export interface Near {
  /** of the case as it is */
  caseId: string;
  along: 'width' | 'height';
  /** lu; negative: smaller */
  by: number;
  /** what is gravest there */
  breach: Breach;
}

/** How far a screen is changed at most, lu, and by which steps: a change that matters only between two of them is missed. */
const STEPS = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 48, 64, 96, 128];

/** The least change one way that makes a case fail, to the px; `null` up to `most` lu. */
function nearOneWay(
  input: SurveyInput,
  c: Case,
  along: Near['along'],
  sign: 1 | -1,
  most: number,
): Near | null {
  const size = turnedSize(c.screen, c.rotation);
  const { density } = c.screen;
  const failsBy = (px: number): Breach | null => {
    const other = resized(c, { ...size, [along]: size[along] + (sign * px) / density });
    const { outcome, breaches } = surveyCase(input, other);
    return outcome === 'fail' ? gravest(breaches) : null;
  };
  let low = 0;
  for (const step of STEPS) {
    if (step > most || (sign < 0 && size[along] - step < 1)) return null;
    let high = Math.max(low + 1, Math.round(step * density));
    let breach = failsBy(high);
    if (!breach) {
      low = high;
      continue;
    }
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      const found = failsBy(middle);
      if (found) [high, breach] = [middle, found];
      else low = middle;
    }
    return { caseId: c.id, along, by: (sign * high) / density, breach };
  }
  return null;
}

const WAYS = [
  ['width', -1],
  ['width', 1],
  ['height', -1],
  ['height', 1],
] as const;

/**
 * Which screens would fail after the least change of their width or height, with their own insets and bars: the nearest first.
 * Screens that fail already are left out.
 * @param cases that count, of one appearance
 * @param most so many are said
 * @returns now and then says nothing, so that it can be called off
 */
export function* nearestFailing(
  input: SurveyInput,
  cases: readonly Case[],
  most: number,
): Generator<null, Near[]> {
  let found: Near[] = [];
  for (const { shown } of distinctCases(cases)) {
    yield null;
    if (surveyCase(input, shown).outcome === 'fail') continue;
    for (const [along, sign] of WAYS) {
      // What lies further off than what is said already is not looked for.
      const limit = found.length < most ? Infinity : Math.abs(found.at(-1)!.by);
      const near = nearOneWay(input, shown, along, sign, limit);
      if (!near) continue;
      const own = found.find((n) => n.caseId === shown.id);
      if (own && Math.abs(own.by) <= Math.abs(near.by)) continue;
      found = [...found.filter((n) => n !== own), near]
        .sort((a, b) => Math.abs(a.by) - Math.abs(b.by))
        .slice(0, most);
    }
  }
  return found;
}
