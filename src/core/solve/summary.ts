import { gravest, type Outcome } from '../measure/judge';
import type { MeasureName } from '../measure/limit';
import { VALLEY_MEASURES } from './valley';
import type { Mark } from './mark';
import type { CaseResult } from '../survey/survey';

/** The figure by which a case is read at a glance. */
export interface Headline {
  layerId: string;
  measure: MeasureName;
  value: number;
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
  return value >= LEAST_SAID ? { layerId: layer.id, measure, value } : null;
}

export function summarise(result: CaseResult): CaseSummary {
  const breach = gravest(result.breaches);
  const headline = breach
    ? { layerId: breach.subjectId, measure: breach.limit.measure, value: breach.value }
    : greatestLoss(result);
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

/** Number of cases with each outcome. */
/** Numbers of cases by outcome. */
export type OutcomeCounts = Record<Outcome, number>;

export function tally(summaries: Iterable<Pick<CaseSummary, 'outcome'>>): OutcomeCounts {
  const counts: OutcomeCounts = { fail: 0, warn: 0, clear: 0 };
  for (const s of summaries) counts[s.outcome]++;
  return counts;
}
