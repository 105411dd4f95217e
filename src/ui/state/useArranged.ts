'use client';
import { useMemo } from 'react';
import { useWorkbench } from './context';
import { arrange, asksOutcomes, type CaseGroup } from './arrange';
import { useFoundCases } from './useFoundCases';

/** The cases that the view asks for, in groups. */
export function useArranged(): CaseGroup[] {
  const cases = useWorkbench((s) => s.cases);
  const view = useWorkbench((s) => s.view);
  // What was found is only looked at where it decides something, and as it was at rest: nothing moves while a value is dragged.
  const summaries = useWorkbench((s) => (asksOutcomes(s.view) ? s.rested : null));
  const marks = useWorkbench((s) => (s.view.ratios ? s.marks : null));
  const isMeasured = useWorkbench((s) => s.surveyed !== null);
  const found = useFoundCases();
  return useMemo(
    () =>
      arrange(cases, view, {
        isMeasured,
        summaries: summaries ?? new Map(),
        marks: marks ?? new Map(),
        found,
      }),
    [cases, view, isMeasured, summaries, marks, found],
  );
}
