import type { Reason } from '../explain/reason';
import type { Outcome } from '../measure/judge';
import type { MeasureName } from '../measure/limit';
import type { Case } from '../screens/cases';
import type { SurveyInput } from '../survey/survey';
import { because, causeOf } from './because';
import type { Finding } from './finding';
import { ruleOfFinding } from './rule';

/** The part of a rule that a finding comes from. */
export interface Cause {
  findingId: string;
  measure: MeasureName;
  /** what is wrong, after the name of the layer */
  word: string;
  /** the gravest of its cases */
  outcome: Outcome;
  part: NonNullable<Reason['part']>;
}

/** Where each finding is caused: the first part of a rule that its reasons lead to, on the case where it is worst. */
export const causesOf = (input: SurveyInput, findings: readonly Finding[], cases: readonly Case[]): Cause[] =>
  findings.flatMap((finding) => {
    const { id, measure, outcome, accepted } = finding;
    if (accepted) return [];
    const part = causeOf(because(input, finding, cases), measure);
    return part ? [{ findingId: id, measure, word: ruleOfFinding(finding).word, outcome, part }] : [];
  });
