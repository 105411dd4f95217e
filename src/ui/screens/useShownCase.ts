'use client';
import { useEffect, useRef } from 'react';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import type { View } from '../state/view';
import type { CaseGroup } from '../state/arrange';

/** What of a view decides which cases are shown, as one word. */
const filtersOf = ({ appearance, kind, orientation, outcome, text, ratios, finding }: View): string =>
  JSON.stringify([appearance, kind, orientation, outcome, text, ratios, finding]);

/**
 * Keeps the chosen case among those that are shown: once the filters change, and at the start where nobody has chosen one, the
 * first of them is chosen. An edit does not change what is looked at.
 * @returns the case at which Tab arrives
 */
export function useShownCase(groups: readonly CaseGroup[]): string | undefined {
  const store = useWorkbenchStore();
  const chosen = useWorkbench((s) => s.view.case);
  const filters = useWorkbench((s) => filtersOf(s.view));
  const shown = groups.flatMap((g) => g.cases.map((c) => c.shown.id));
  const [first] = shown;
  const isShown = shown.includes(chosen ?? '');
  const settled = useRef<string | null>(null);
  useEffect(() => {
    if (first === undefined || settled.current === filters) return;
    settled.current = filters;
    const { isPicked, view } = store.getState();
    if (!isShown || !isPicked) store.setState({ isPicked: true, view: { ...view, case: first } });
  }, [store, filters, first, isShown]);
  return isShown ? chosen : first;
}
