import { explain } from '../explain/figure';
import { reason, steps, type Reason } from '../explain/reason';
import type { LayerDescriptor, WholeDescriptor } from '../measure/descriptor';
import { MEASURE, type MeasureName } from '../measure/limit';
import type { Measures } from '../measure/measures';
import type { Case } from '../screens/cases';
import { surveyCase, type CaseResult, type SurveyInput } from '../survey/survey';
import { capitalised } from '../words/words';
import type { Finding } from './finding';

/** What of a finding of a scene is explained. */
interface Explained extends Pick<Finding, 'subject' | 'said'> {
  worst: { caseId: string; limit: { measure: MeasureName } };
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

const PLACING = ['placing', 'when'];

/**
 * The part of a rule that causes a finding: the first that its reasons lead to; of a finding on the place or the size of
 * a layer, the first that places it, where one does.
 */
export function causeOf(why: Reason, measure: MeasureName): Reason['part'] {
  const parts = steps(why).flatMap(({ reason: { part } }) => (part ? [part] : []));
  const placing = parts.find((p) => p.layerId === null || PLACING.includes(String(p.path[0])));
  const described: LayerDescriptor | WholeDescriptor = MEASURE[measure];
  return (described.of === 'layer' && described.placed ? placing : undefined) ?? parts[0];
}
