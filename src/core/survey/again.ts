import type { Case } from '../screens/cases';
import { foundOn, isSameGround, withKnown, type Earlier, type FoundCase } from './earlier';
import { createSurvey, surveyEach, type CaseResult, type SurveyInput } from './survey';

/** A survey that keeps what the next one, after an edit, need not work out again. */
export interface Keeping {
  on: (c: Case) => CaseResult;
  /** what is known of the cases that were asked for */
  kept: Earlier;
}

/** @param earlier a survey before, of whatever scene */
export function createKeeping(input: SurveyInput, earlier: Earlier | null): Keeping {
  const found = new Map<string, FoundCase>();
  const known = earlier ? withKnown(input, earlier) : input;
  const next = createSurvey(known, earlier);
  const on = (c: Case) => {
    const { result, prepared } = next(c);
    found.set(c.id, foundOn(result, prepared));
    return result;
  };
  return { on, kept: { input: known, found } };
}

export const resultsOf = ({ found }: Earlier, cases: readonly Case[]): CaseResult[] =>
  cases.map((c) => found.get(c.id)!.result);

/** Surveys all cases at once, taking over from an earlier survey what cannot have changed. */
export function surveyAgain(
  input: SurveyInput,
  cases: readonly Case[],
  earlier: Earlier | null,
  visit: (result: CaseResult, c: Case) => void = () => {},
): Earlier {
  const { on, kept } = createKeeping(input, earlier);
  for (const c of cases) visit(on(c), c);
  return kept;
}

/**
 * Surveys all cases while an edit goes on, as while a value runs: each state is compared with what was kept before the first, and
 * is not kept itself. Keeping thousands of results for a moment costs a good part of what taking them over saves.
 * @param kept what was kept before the edit
 * @returns what is kept now: what was kept before, unless nothing of it says anything of this scene
 */
export function surveyRunning(
  input: SurveyInput,
  cases: readonly Case[],
  kept: Earlier | null,
  visit: (result: CaseResult, c: Case) => void,
): Earlier {
  const known = kept && withKnown(input, kept);
  if (!known || !isSameGround(known, kept.input)) return surveyAgain(input, cases, null, visit);
  surveyEach(known, cases, visit, kept);
  return kept;
}
