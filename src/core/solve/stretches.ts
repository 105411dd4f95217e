import { breachId, gravestOfEach, type Breach, type Outcome } from '../measure/judge';
import type { Appearance } from '../values/values';
import { freeWindow, type Around } from '../screens/free';
import type { Screen } from '../screens/screen';
import { surveyCase, type SurveyInput } from '../survey/survey';

/** Sizes of a free window along one axis between which nothing changes of what is wrong. */
export interface Stretch {
  /** the first and the last size, lu, both of whole px */
  from: number;
  to: number;
  outcome: Outcome;
  breaches: Breach[];
}

export interface Across {
  /** what is run through; the other one stays */
  along: 'width' | 'height';
  /** of the axis that stays, lu */
  other: number;
  /** lu */
  from: number;
  to: number;
  base: Screen;
  appearance: Appearance;
  /** nothing when absent */
  around?: Around;
}

/** Sizes looked at, at first, between both ends. */
const SAMPLES = 300;

/**
 * Where along an axis of a free window anything that is wrong comes or goes, to the px: what differs between two
 * neighbouring samples is searched by halves. A stretch that lies wholly between two samples is not found.
 */
export function stretchesOf(input: SurveyInput, across: Across): Stretch[] {
  const { along, other, base, appearance, around } = across;
  const { density } = base;
  const at = (px: number) => {
    const lu = px / density;
    const size = along === 'width' ? { width: lu, height: other } : { width: other, height: lu };
    const { outcome, breaches } = surveyCase(input, freeWindow(size, base, appearance, around));
    const open = gravestOfEach(breaches.filter((b) => !b.accepted));
    const key = open.map((b) => `${breachId(b)} ${b.limit.outcome}`).sort();
    return { px, outcome, breaches: open, key: key.join('\n') };
  };
  const [first, last] = [Math.ceil(across.from * density), Math.floor(across.to * density)];
  const step = Math.max(1, Math.round((last - first) / SAMPLES));
  const found: (ReturnType<typeof at> & { end: number })[] = [];
  let here = at(first);
  let start = here;
  while (here.px < last) {
    const next = at(Math.min(last, here.px + step));
    let [low, high] = [here, next];
    while (low.key !== high.key && high.px - low.px > 1) {
      const middle = at(Math.floor((low.px + high.px) / 2));
      if (middle.key === low.key) low = middle;
      else high = middle;
    }
    if (low.key !== high.key) {
      found.push({ ...start, end: low.px });
      start = high;
      // Between the change that was found and the next sample there may be another one.
      here = high;
    } else here = next;
  }
  found.push({ ...start, end: last });
  return found.map(({ px, end, outcome, breaches }) => ({
    from: px / density,
    to: end / density,
    outcome,
    breaches,
  }));
}
