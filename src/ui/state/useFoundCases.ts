'use client';
import { useMemo } from 'react';
import type { SceneFinding } from '@/core/findings/scene';
import { useWorkbench } from './context';

/** The finding that the view is narrowed to; `null` without one, and once it is mended. */
export const useFinding = (): SceneFinding | null =>
  useWorkbench((s) => s.found?.find((f) => f.id === s.view.finding) ?? null);

/** The cases of that finding; `null` for all. */
export function useFoundCases(): ReadonlySet<string> | null {
  const finding = useFinding();
  return useMemo(() => finding && new Set(finding.cases.map((f) => f.caseId)), [finding]);
}
