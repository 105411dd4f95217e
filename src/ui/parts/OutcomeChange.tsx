import { OUTCOMES } from '@/core/measure/judge';
import type { OutcomeCounts } from '@/core/solve/summary';
import { OUTCOME_SHAPES } from '../words';

interface Props {
  /** `undefined` until it is known */
  was: OutcomeCounts | undefined;
  /** `null` where the scene cannot be drawn then */
  is: OutcomeCounts | null | undefined;
  /** what it is called */
  scene: string;
}

/** Each outcome with the number of cases before and after. */
export function TallyChange({ was, is }: Record<'was' | 'is', OutcomeCounts>) {
  return OUTCOMES.map((o) => (
    <span key={o} className={`tally-change outcome-${o}`}>
      {OUTCOME_SHAPES[o]} {o} {was[o]} → {is[o]}
    </span>
  ));
}

/** What becomes of the outcomes of all cases with a change that is not made yet. */
export function OutcomeChange({ was, is, scene }: Props) {
  if (!was || is === undefined) return <span role="status">Being tried on all cases of {scene}…</span>;
  if (is === null) return <span className="quiet">{scene} cannot be drawn with it.</span>;
  if (OUTCOMES.every((o) => was[o] === is[o]))
    return <span className="quiet">It changes no outcome of {scene}.</span>;
  return (
    <span className="quiet figures">
      {scene}: <TallyChange {...{ was, is }} />
    </span>
  );
}
