import { gravestOfEach } from '@/core/measure/judge';
import type { CaseResult } from '@/core/survey/survey';
import { ownerName, sayFigure, sayLimit } from '@/core/measure/words';
import { NOTHING_TO_JUDGE, OUTCOME_SHAPES } from '../words';

/** Limits that a case breaks, in words. */
export function BreachList({ result }: { result: CaseResult }) {
  if (result.layers.every((l) => l.kind === 'ground')) return <p className="quiet">{NOTHING_TO_JUDGE}</p>;
  if (result.breaches.length === 0) {
    return <p className="outcome-clear">{OUTCOME_SHAPES.clear} Within all limits.</p>;
  }
  return (
    <ul className="breaches">
      {gravestOfEach(result.breaches).map((b, index) => (
        <li key={index} className={`breach breach-${b.accepted ? 'accepted' : b.limit.outcome}`}>
          <strong>
            {b.accepted ? (
              <span className="outcome-clear">✓</span>
            ) : (
              <span className={`outcome-${b.limit.outcome}`}>{OUTCOME_SHAPES[b.limit.outcome]}</span>
            )}{' '}
            {ownerName(b.subjectId, result.layers)}: {sayFigure(b.limit.measure, b.value)}
          </strong>
          <span>
            {b.accepted ? `Taken as it is: ${b.accepted}. ` : ''}Accepted is {sayLimit(b.limit)}.{' '}
            {b.limit.reason}
          </span>
        </li>
      ))}
    </ul>
  );
}
