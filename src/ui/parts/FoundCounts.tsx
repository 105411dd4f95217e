'use client';
import type { FoundCounts as Counts } from '@/core/review/schema';
import { OUTCOME_SHAPES } from '../words';

/** Numbers of findings: those that fail, that warn, and that are accepted. */
export function FoundCounts({ found: { fail, warn, accepted } }: { found: Counts }) {
  return (
    <>
      <span className={fail > 0 ? 'outcome-fail' : 'quiet'}>
        {OUTCOME_SHAPES.fail} {fail}
      </span>{' '}
      <span className={warn > 0 ? 'outcome-warn' : 'quiet'}>
        {OUTCOME_SHAPES.warn} {warn}
      </span>
      {accepted > 0 && <span className="quiet"> ✓ {accepted} accepted</span>}
    </>
  );
}
