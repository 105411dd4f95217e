import { gravest, type Outcome } from '../measure/judge';
import type { MeasureName } from '../measure/limit';
import type { CaseResult } from './survey';

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
    ? { layerId: breach.layerId, measure: breach.limit.measure, value: breach.value }
    : greatestLoss(result);
  return { id: result.id, outcome: result.outcome, headline };
}

/** Number of cases with each outcome. */
export function tally(summaries: Iterable<CaseSummary>): Record<Outcome, number> {
  const counts: Record<Outcome, number> = { fail: 0, warn: 0, clear: 0 };
  for (const s of summaries) counts[s.outcome]++;
  return counts;
}
