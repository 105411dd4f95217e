'use client';
import { useMemo } from 'react';
import { useWorkbench } from '../state/context';
import { arrange, type CaseGroup } from './arrange';
import { useFoundCases } from './useFoundCases';

/** The cases that the view asks for, in groups. */
export function useArranged(): CaseGroup[] {
  const cases = useWorkbench((s) => s.cases);
  const view = useWorkbench((s) => s.view);
  // The outcome filter alone depends on what was found; without it the groups stay as they are.
  const summaries = useWorkbench((s) => (s.view.outcome ? s.summaries : null));
  const marks = useWorkbench((s) => (s.view.ratios ? s.marks : null));
  const found = useFoundCases();
  return useMemo(
    () => arrange(cases, view, { summaries: summaries ?? new Map(), marks: marks ?? new Map(), found }),
    [cases, view, summaries, marks, found],
  );
}
