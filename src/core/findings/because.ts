import { explain } from '../explain/figure';
import { capitalised } from '../words/words';
import { reason, steps, type AskedFigure, type Reason } from '../explain/reason';
import type { LayerMeasure, MeasureName } from '../measure/limit';
import { SIDES, type PerSide, type Side } from '../geometry/rect';
import type { Case } from '../screens/cases';
import { surveyCase, type CaseResult, type SurveyInput } from '../survey/survey';
import type { Finding } from './finding';

const largest = (sides: PerSide): Side => SIDES.reduce((a, b) => (sides[b] > sides[a] ? b : a));

/** The figure of the close-up that says most about a measure. */
const FIGURE_OF_MEASURE: Record<LayerMeasure, AskedFigure['name']> = {
  crop: 'crop',
  'keep-lost': 'keep',
  'keep-hidden': 'keep',
  bare: 'bare',
  'bare-screen': 'bare-screen',
  distortion: 'distortion',
  enlargement: 'enlargement',
  excess: 'excess',
  'clearance-safe': 'clearance',
  'clearance-screen': 'clearance-screen',
  'under-cutout': 'under-cutout',
  'outside-corner': 'outside-corner',
  'under-bar': 'under-bar',
  'across-fold': 'across-fold',
  'share-width': 'share-width',
  'share-height': 'share-height',
  'share-area': 'share-width',
  contrast: 'contrast',
  collapse: 'collapse',
  spill: 'spill',
  'off-centre': 'off-centre',
  'off-centre-screen': 'off-centre',
  'off-centre-safe': 'off-centre',
  overlap: 'overlap',
  'missing-letters': 'missing-letters',
  'cut-off': 'crop',
  shortened: 'font-size',
  'letter-size': 'font-size',
};

/** The side on which it shows most, where the figure does not find it itself. */
function sideOf(result: CaseResult, layerId: string, measure: MeasureName): Side | undefined {
  const layer = result.layers.find((l) => l.id === layerId);
  if (!layer || layer.kind === 'ground') return undefined;
  return measure === 'bare-screen' ? largest(layer.measures.bareScreen.distance) : undefined;
}

const WHOLE: Record<Exclude<MeasureName, LayerMeasure>, string> = {
  'bar-contrast': 'What lies under the bar is too much like its signs.',
  grounds: 'A scene has one ground, so that it is not left to chance what shows behind.',
  unpaired:
    'In the dark the background shows its light file on a dark ground, or a dark file on a light one.',
};

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
  if (measure in WHOLE) return reason(said, [reason(WHOLE[measure as keyof typeof WHOLE])]);
  const name = FIGURE_OF_MEASURE[measure as LayerMeasure];
  const side = sideOf(surveyCase(input, c), finding.subject.id, measure);
  return reason(said, [explain(input, c, finding.subject.id, { name, side })]);
}

/** Measures of where and how large a layer is, which its box decides rather than how it is drawn in there. */
const PLACED = /^(share|clearance|under|outside|across|off-centre)/;
const PLACING = ['placing', 'when'];

/**
 * The part of a rule that causes a finding: the first that its reasons lead to; of a finding on the place or the size of
 * a layer, the first that places it, where one does.
 */
export function causeOf(why: Reason, measure: MeasureName): Reason['part'] {
  const parts = steps(why).flatMap(({ reason: { part } }) => (part ? [part] : []));
  const placing = parts.find((p) => p.layerId === null || PLACING.includes(String(p.path[0])));
  return (PLACED.test(measure) ? placing : undefined) ?? parts[0];
}
