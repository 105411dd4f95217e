import { breachId, gravestOfEach, type Breach } from '@/core/measure/judge';
import type { CaseResult } from '@/core/survey/survey';
import { ownerName, sayLimit } from '@/core/measure/words';
import { sayBreached } from '@/core/solve/summary';
import { capitalised } from '@/core/words/words';
import { NOTHING_TO_JUDGE, OUTCOME_SHAPES } from '../words';

/** Limits that a case breaks, in words. @param but one that is said elsewhere */
export function BreachList({ result, but }: { result: CaseResult; but?: Breach | null }) {
  if (result.layers.every((l) => l.kind === 'ground')) return <p className="quiet">{NOTHING_TO_JUDGE}</p>;
  if (result.breaches.length === 0) {
    return <p className="outcome-clear">{OUTCOME_SHAPES.clear} Within all limits.</p>;
  }
  const said = gravestOfEach(result.breaches).filter((b) => !but || breachId(b) !== breachId(but));
  return (
    <ul className="breaches">
      {said.map((b, index) => (
        <li key={index} className={`breach breach-${b.accepted ? 'accepted' : b.limit.outcome}`}>
          <strong>
            {b.accepted ? (
              <span className="outcome-clear">✓</span>
            ) : (
              <span className={`outcome-${b.limit.outcome}`}>{OUTCOME_SHAPES[b.limit.outcome]}</span>
            )}{' '}
            {ownerName(b.subjectId, result.layers)}: {sayBreached(b, result)}
          </strong>
          <span>
            {b.accepted ? `Accepted: ${b.accepted}. ` : ''}
            {capitalised(sayLimit(b.limit))}. {b.limit.reason}
          </span>
        </li>
      ))}
    </ul>
  );
}
