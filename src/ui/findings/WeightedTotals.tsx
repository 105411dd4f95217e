'use client';
import { useMemo } from 'react';
import { isIcon } from '@/core/icons/slots';
import { sayShare, sayWeight } from '@/core/words/numbers';
import { OUTCOMES } from '@/core/measure/judge';
import { weightsOf } from '@/core/screens/weights';
import { VALLEY_MEASURES } from '@/core/solve/valley';
import { weightedTotals } from '@/core/solve/summary';
import { useCounted, useScene, useWorkbench } from '../state/context';
import { OUTCOME_SHAPES } from '../words';
import { WORDS } from '../valley/limits';
import { WeightsFrom } from '../parts/WeightsFrom';

/** A mean under half a tenth of a per cent is rounding. */
const LEAST_SAID = 0.0005;

/** How much of the weight fails, warns and is clear, as a bar and as figures, and the mean losses of the background. */
export function WeightedTotals() {
  const scene = useScene();
  const summaries = useWorkbench((s) => s.summaries);
  const marks = useWorkbench((s) => s.marks);
  const cases = useCounted();
  const totals = useMemo(
    () => (summaries.size > 0 ? weightedTotals(summaries.values(), marks, weightsOf(cases)) : null),
    [summaries, marks, cases],
  );
  if (!totals) return null;
  const { outcomes, losses } = totals;
  const said = VALLEY_MEASURES.filter((m) => losses && losses[m] >= LEAST_SAID);
  return (
    <div className="totals">
      <svg viewBox="0 0 100 1" preserveAspectRatio="none" aria-hidden="true">
        {OUTCOMES.map((o, i) => (
          <rect
            key={o}
            className={`totals-${o}`}
            x={OUTCOMES.slice(0, i).reduce((sum, before) => sum + outcomes[before] * 100, 0)}
            width={outcomes[o] * 100}
            height={1}
          />
        ))}
      </svg>
      <p className="figures">
        By weight{' '}
        {OUTCOMES.map((o) => (
          <span key={o}>
            <b className={`outcome-${o}`}>
              {OUTCOME_SHAPES[o]} {sayWeight(outcomes[o])}
            </b>{' '}
            {o},{' '}
          </span>
        ))}
        {losses && said.length > 0 && (
          <>on average {said.map((m) => `${WORDS[m]} ${sayShare(losses[m])}`).join(', ')}. </>
        )}
        <span className="quiet">{isIcon(scene) ? 'Every slot weighs the same.' : <WeightsFrom />}</span>
      </p>
    </div>
  );
}
