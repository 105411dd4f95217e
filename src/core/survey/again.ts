import type { Case } from '../screens/cases';
import { foundOn, type Earlier, type Found } from './earlier';
import { surveyEach, type CaseResult, type SurveyInput } from './survey';

/**
 * Surveys cases as `surveyEach` does and keeps what the next survey of them, after an edit, need not work out again.
 * @param earlier the survey before, of whatever scene
 */
export function surveyAgain(
  input: SurveyInput,
  cases: readonly Case[],
  earlier: Earlier | null,
  visit: (result: CaseResult, c: Case) => void = () => {},
): Earlier {
  const found = new Map<string, Found>();
  const keep = (result: CaseResult, c: Case, prepared: Parameters<typeof foundOn>[1]) => {
    found.set(c.id, foundOn(result, prepared));
    visit(result, c);
  };
  surveyEach(input, cases, keep, earlier);
  return { input, found };
}
