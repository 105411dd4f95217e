'use client';
import type { Case } from '@/core/screens/cases';
import type { MostChanged } from '@/core/measure/change';
import { sayFigure, sayValue } from '@/core/measure/words';
import type { CaseResult } from '@/core/survey/survey';
import { CaseCanvas } from './CaseCanvas';
import { caseSize, OUTCOME_SHAPES } from '../words';
import { useInView } from './useInView';

/** CSS px per lu. */
const SCALE = 0.1;

interface Props {
  shown: Case;
  was: CaseResult;
  is: CaseResult;
  /** whether the pixels of both are known; until then no outcome is */
  isMeasured: boolean;
  /** the figure that changes most */
  change?: MostChanged | null;
}

/** One case as it was and as it would be, side by side; drawn while it is in view. */
export function BeforeAfter({ shown, was, is, isMeasured, change }: Props) {
  const [ref, inView] = useInView<HTMLLIElement>();
  const { width, height } = was.regions.screen;
  return (
    <li ref={ref} className={!isMeasured || was.outcome === is.outcome ? '' : 'changed'}>
      <span className="pair" style={{ minWidth: width * SCALE * 2, minHeight: height * SCALE }}>
        {inView && <CaseCanvas result={was} scale={SCALE} />}
        {inView && <CaseCanvas result={is} scale={SCALE} />}
      </span>
      <span className="case-caption figures">
        {caseSize(shown)}
        <br />
        {isMeasured ? (
          <>
            <b className={`outcome-${was.outcome}`}>{OUTCOME_SHAPES[was.outcome]}</b> →{' '}
            <b className={`outcome-${is.outcome}`}>
              {OUTCOME_SHAPES[is.outcome]} {is.outcome}
            </b>
            {change && (
              <>
                <br />
                {change.layer}: {sayFigure(change.measure, change.was)} →{' '}
                {sayValue(change.measure, change.is)}
              </>
            )}
          </>
        ) : (
          'measuring…'
        )}
      </span>
    </li>
  );
}
