'use client';
import { useMemo } from 'react';
import type { Finding } from '@/core/findings/finding';
import { distinctCases } from '@/core/screens/likeness';
import { useWorkbench } from '../state/context';

/** The finding that the view is narrowed to; `null` without one, and once it is mended. */
export const useFinding = (): Finding | null =>
  useWorkbench((s) => s.found?.findings.find((f) => f.id === s.view.finding) ?? null);

/** The cases of that finding, with those that cannot be told apart from them; `null` for all. */
export function useFoundCases(): ReadonlySet<string> | null {
  const finding = useFinding();
  const cases = useWorkbench((s) => s.cases);
  return useMemo(() => {
    if (!finding) return null;
    const on = new Set(finding.on.map((f) => f.caseId));
    for (const { shown, alike } of distinctCases(cases))
      if (on.has(shown.id)) for (const c of alike) on.add(c.id);
    return on;
  }, [finding, cases]);
}
