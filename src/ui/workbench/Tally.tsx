'use client';
import { OUTCOMES } from '@/core/measure/judge';
import { hasToJudge } from '@/core/scene/layers';
import { tally } from '@/core/solve/summary';
import { useCounted, useWorkbench } from '../state/context';
import { OlderNote, SurveyShare } from '../parts/Older';
import { useSurveyIsOlder } from '../state/older';
import { sceneOf } from '../state/workbench';
import { countCases, OUTCOME_SHAPES } from '../words';

/** How many cases fail, warn and are clear, over both appearances. */
export function Tally() {
  const summaries = useWorkbench((s) => s.summaries);
  const all = useWorkbench((s) => s.cases.length);
  const counted = useCounted().length;
  const counts = tally(summaries.values());
  const isOlder = useSurveyIsOlder();
  const judges = useWorkbench((s) => hasToJudge(sceneOf(s)!));
  if (!judges)
    return (
      <p className="tally figures" role="status" aria-label="Outcomes">
        nothing to judge yet
      </p>
    );
  if (summaries.size === 0)
    return (
      <p className="tally figures" role="status" aria-label="Outcomes">
        <SurveyShare of={counted} />
      </p>
    );
  return (
    <p
      className="tally older figures"
      role="status"
      aria-label="Outcomes"
      aria-busy={isOlder}
      data-older={isOlder || undefined}
      title={`${countCases(counted)}, light and dark together${isOlder ? '; from before the last change' : ''}`}
    >
      {OUTCOMES.map((o) => (
        <span key={o} className={`outcome-${o}`}>
          {OUTCOME_SHAPES[o]} {counts[o]} {o}
        </span>
      ))}
      <OlderNote when={isOlder} of="…" />
      {counted < all && (
        <span className="quiet" title="Outside the ratios that the project allows: set in the large valley">
          {all - counted} not counted
        </span>
      )}
    </p>
  );
}
