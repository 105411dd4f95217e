import { distances, SIDES, type Rect } from '../geometry/rect';
import type { Reason } from '../explain/reason';
import type { Case } from '../screens/cases';
import { surveyCase, type CaseResult, type PictureResult, type SurveyInput } from '../survey/survey';

/** Less than this much outside is the last bits of sums, lu. */
const HAIR = 0.01;

const isWithin = (inner: Rect, outer: Rect) => SIDES.every((side) => distances(inner, outer)[side] > -HAIR);

/** Whether a picture is drawn whole in its box: what is lost of it is then cut by what lies around that. */
export const isWholeInBox = (layer: CaseResult['layers'][number] | undefined): layer is PictureResult =>
  layer?.kind === 'picture' && isWithin(layer.placement.drawn, layer.placement.box);

const LOSSES: readonly string[] = ['crop', 'keep-lost'];

/** The place of a picture that is cut although it is whole in its box, as the part to change; `null` of any other finding. */
export function placeOfCut(
  input: SurveyInput,
  finding: { subject: { id: string }; measure: string; worst: { caseId: string } },
  cases: readonly Case[],
): NonNullable<Reason['part']> | null {
  const worst = LOSSES.includes(finding.measure) && cases.find((c) => c.id === finding.worst.caseId);
  if (!worst) return null;
  const layer = surveyCase(input, worst).layers.find((l) => l.id === finding.subject.id);
  return isWholeInBox(layer) ? { layerId: layer.id, path: ['placing'] } : null;
}
