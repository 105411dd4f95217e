import { gravest, stepsBeyond, type Breach, type Outcome } from '../measure/judge';
import { sayFigure, sayOnCase } from '../measure/words';
import { MEASURE, type MeasureName } from '../measure/limit';
import { VALLEY_MEASURES } from './valley';
import type { Mark } from './mark';
import type { CaseResult } from '../survey/survey';

/** The figure by which a case is read at a glance. */
export interface Headline {
  layerId: string;
  measure: MeasureName;
  value: number;
  /** by how much a limit is passed, in steps that an eye notices; of a loss that breaks none, how many of these it has */
  beyond: number;
  /** what is wrong there, in words that stand after the name of the layer: “Lighthouse cut off” */
  words: string;
}

export interface CaseSummary {
  id: string;
  outcome: Outcome;
  /** the gravest breach, else the greatest loss of the background; `null` when nothing is lost */
  headline: Headline | null;
}

const LEAST_SAID = 0.0005;

function greatestLoss(result: CaseResult): Headline | null {
  const layer = result.layers.findLast((l) => l.kind === 'picture' && l.role === 'background');
  if (layer?.kind !== 'picture') return null;
  const { crop, bareScreen, distortion } = layer.measures;
  const losses: [MeasureName, number][] = [
    ['crop', crop?.total ?? 0],
    ['bare-screen', bareScreen.total],
    ['distortion', distortion ?? 0],
  ];
  const [measure, value] = losses.reduce((worst, l) => (l[1] > worst[1] ? l : worst));
  if (value < LEAST_SAID) return null;
  const beyond = value / MEASURE[measure].unit.step;
  return { layerId: layer.id, measure, value, beyond, words: sayFigure(measure, value) };
}

/** What is wrong by a breach, in words that stand after the name of its layer. */
export function sayBreached(
  { subjectId, limit: { measure }, value }: Breach,
  { layers }: CaseResult,
): string {
  const layer = layers.find((l) => l.id === subjectId);
  return layer && layer.kind !== 'ground'
    ? sayOnCase(measure, value, layer.measures)
    : sayFigure(measure, value);
}

/** A breach as it is read at a glance. */
function saidOf(breach: Breach, result: CaseResult): Headline {
  const { subjectId, limit, value } = breach;
  const { measure } = limit;
  const words = sayBreached(breach, result);
  return { layerId: subjectId, measure, value, beyond: stepsBeyond(breach), words };
}

export function summarise(result: CaseResult): CaseSummary {
  const breach = gravest(result.breaches);
  const headline = breach ? saidOf(breach, result) : greatestLoss(result);
  return { id: result.id, outcome: result.outcome, headline };
}

/** What is said of all cases together, each as much as its screen weighs. */
export interface Totals {
  /** of the weight, with each outcome; they sum to 1 */
  outcomes: Record<Outcome, number>;
  /** weighted mean of each loss of the background, over the cases that show one; `null` without any */
  losses: Mark['losses'] | null;
}

/** @param weights of all cases, as `weightsOf` gives them */
export function weightedTotals(
  summaries: Iterable<CaseSummary>,
  marks: ReadonlyMap<string, Mark>,
  weights: ReadonlyMap<string, number>,
): Totals {
  const outcomes: Totals['outcomes'] = { fail: 0, warn: 0, clear: 0 };
  const losses: Mark['losses'] = { crop: 0, bare: 0, distortion: 0, 'keep-lost': 0 };
  let marked = 0;
  for (const { id, outcome } of summaries) {
    const weight = weights.get(id) ?? 0;
    outcomes[outcome] += weight;
    const mark = marks.get(id);
    if (!mark) continue;
    marked += weight;
    for (const measure of VALLEY_MEASURES) losses[measure] += weight * mark.losses[measure];
  }
  if (marked === 0) return { outcomes, losses: null };
  for (const measure of VALLEY_MEASURES) losses[measure] /= marked;
  return { outcomes, losses };
}

/** Numbers of cases by outcome. */
export type OutcomeCounts = Record<Outcome, number>;

export function tally(summaries: Iterable<Pick<CaseSummary, 'outcome'>>): OutcomeCounts {
  const counts: OutcomeCounts = { fail: 0, warn: 0, clear: 0 };
  for (const s of summaries) counts[s.outcome]++;
  return counts;
}
