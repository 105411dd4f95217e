import { explain } from '../explain/figure';
import { reason, steps, type Reason } from '../explain/reason';
import type { LayerDescriptor, WholeDescriptor } from '../measure/descriptor';
import { MEASURE, type MeasureName } from '../measure/limit';
import type { Measures } from '../measure/measures';
import type { Case } from '../screens/cases';
import { surveyCase, type CaseResult, type SurveyInput } from '../survey/survey';
import { capitalised } from '../words/words';
import { couldClear, type RulePart } from './clearing';
import type { Finding } from './finding';

/** What of a finding of a scene is explained. */
interface Explained extends Pick<Finding, 'subject' | 'said'> {
  worst: { caseId: string; limit: { measure: MeasureName } };
}

/** Of which measure a finding is. */
interface Measured {
  measure: MeasureName;
}

/** Why a finding is there: the chain from its limit down to the parts of rules, on the case where it is worst. */
export function because(input: SurveyInput, finding: Explained, cases: readonly Case[]): Reason {
  const { caseId, limit } = finding.worst;
  const { measure } = limit;
  const c = cases.find((one) => one.id === caseId)!;
  const said = `${capitalised(finding.said)}.`;
  const described: LayerDescriptor | WholeDescriptor = MEASURE[measure];
  if (described.of !== 'layer') return reason(said, [reason(described.why)]);
  const { why: name, first, shownOn } = described;
  const layer = first || shownOn ? measuredOn(surveyCase(input, c), finding.subject.id) : null;
  const before = layer && first ? first(layer).map((text) => reason(text)) : [];
  const side = layer && shownOn ? shownOn(layer) : undefined;
  return reason(said, [...before, explain(input, c, finding.subject.id, { name, side })]);
}

/** What was measured of a layer; `null` where it is not drawn. */
function measuredOn({ layers }: CaseResult, layerId: string): Measures | null {
  const layer = layers.find((l) => l.id === layerId);
  return layer && layer.kind !== 'ground' ? layer.measures : null;
}

/** Whether a part places a layer. */
const isPlacing = ({ layerId, path: [first] }: RulePart) =>
  layerId !== null && (first === 'placing' || first === 'when');

/**
 * The parts of rules that may cause a finding, the likeliest first: in the order in which its reasons lead to them; of a finding on
 * the place or the size of a layer, those first that place it, then its place along each axis as a whole.
 */
export function suspects(
  why: Reason,
  { measure, subject }: Pick<Explained, 'subject'> & Measured,
): RulePart[] {
  const parts = steps(why).flatMap(({ reason: { part } }) => (part ? [part] : []));
  const described: LayerDescriptor | WholeDescriptor = MEASURE[measure];
  if (described.of !== 'layer') return parts;
  const own = parts.find((p) => p.layerId === subject.id && isPlacing(p))?.path ?? [];
  const rule = own.slice(0, own.indexOf('placing') + 1);
  const axes =
    rule.length === 0 ? [] : ['x', 'y'].map((axis) => ({ layerId: subject.id, path: [...rule, axis] }));
  if (!described.placed) return [...parts, ...axes];
  return [...parts.filter(isPlacing), ...axes, ...parts.filter((p) => !isPlacing(p))];
}

/**
 * The part of a rule that causes a finding: the first that its reasons lead to and that could clear it by itself, on the case where it
 * is worst. `undefined` where none could.
 */
export function causeOf(
  input: SurveyInput,
  finding: Explained & Pick<Finding, 'id'> & Measured,
  cases: readonly Case[],
): RulePart | undefined {
  const worst = cases.find((c) => c.id === finding.worst.caseId)!;
  return suspects(because(input, finding, cases), finding).find((part) =>
    couldClear(input, part, finding.id, worst),
  );
}
