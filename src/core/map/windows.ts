import type { Size } from '../geometry/rect';
import { breachId, gravest, gravestOfEach, type Breach, type Outcome } from '../measure/judge';
import { freeWindow, type Around } from '../screens/free';
import type { Screen } from '../screens/screen';
import { surveyCase, type SurveyInput } from '../survey/survey';
import type { Appearance } from '../values/values';

/** On what windows a scene is judged: one density and appearance, bare or with the bars and insets of a screen. */
export interface MapAsked {
  /** whose density, and choice of files by it, every window has */
  base: Screen;
  appearance: Appearance;
  /** what stands around the content of a window */
  around: Around;
}

/** A window of whole px that was judged. */
export interface JudgedWindow {
  /** px */
  widthPx: number;
  heightPx: number;
  outcome: Outcome;
  /** what is wrong, of each measure the gravest breach; nothing that is accepted */
  breaches: readonly Breach[];
  /** by what the gravest of it is known; empty where nothing is wrong */
  cause: string;
}

/** Px of one side are fewer than this. */
const SIDE = 2 ** 20;

/** Judges windows of any size, each once. @returns sizes are px */
export function judgeWindows(input: SurveyInput, { base, appearance, around }: MapAsked) {
  const known = new Map<number, JudgedWindow>();
  return (widthPx: number, heightPx: number): JudgedWindow => {
    const key = widthPx * SIDE + heightPx;
    const before = known.get(key);
    if (before) return before;
    const size: Size = { width: widthPx / base.density, height: heightPx / base.density };
    const { outcome, breaches } = surveyCase(input, freeWindow(size, base, appearance, around));
    const worst = gravest(breaches);
    const found: JudgedWindow = {
      widthPx,
      heightPx,
      outcome,
      breaches: worst ? gravestOfEach(breaches.filter((b) => !b.accepted)) : [],
      cause: worst ? breachId(worst) : '',
    };
    known.set(key, found);
    return found;
  };
}

export type JudgeWindow = ReturnType<typeof judgeWindows>;

/**
 * Searches by halves where windows stop being like the first one, on the way to another one that is not like it.
 * @param keyOf what makes windows alike
 * @returns the last one that is like it, and one a px further that is not
 */
export function changeBetween(
  first: JudgedWindow,
  other: JudgedWindow,
  judge: JudgeWindow,
  keyOf: (w: JudgedWindow) => string,
): [JudgedWindow, JudgedWindow] {
  const key = keyOf(first);
  let [low, high] = [first, other];
  for (;;) {
    const middle = judge(
      Math.round((low.widthPx + high.widthPx) / 2),
      Math.round((low.heightPx + high.heightPx) / 2),
    );
    // Each window is judged once, so that one of the same px is the same object.
    if (middle === low || middle === high) return [low, high];
    if (keyOf(middle) === key) low = middle;
    else high = middle;
  }
}
