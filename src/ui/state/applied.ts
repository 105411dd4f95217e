import { stepOf } from '@/core/steps/commands';
import type { Patch } from '@/core/patch/patch';
import { editBy } from './edit';
import { useEffect } from 'react';
import { useWorkbench, useWorkbenchStore } from './context';
import type { Applied, WorkbenchState, WorkbenchStore } from './workbench';

/**
 * Applies a mend as one step, and remembers what there is to say about it.
 * @param fix what it is called
 */
export function applyMend(
  store: WorkbenchStore,
  { fix, patch, said }: { fix: string; patch: Patch; said: string },
): void {
  const last = () => store.getState().undo.at(-1);
  const before = last();
  editBy(store, stepOf('finding.fix', fix), patch);
  const change = last();
  if (change && change !== before)
    store.setState({ applied: { changeId: change.id, said, isPassed: false } });
}

/** What was applied last, unless something was done since. */
export const appliedOf = ({ applied, undo }: WorkbenchState): Applied | null =>
  applied !== null && undo.at(-1)?.id === applied.changeId ? applied : null;

export const useApplied = (): Applied | null => useWorkbench(appliedOf);

/**
 * Moves the focus on once a mend was applied, and all cases were measured with it.
 * @param focus moves it @returns nothing; it is done once for each mend, wherever the page shows it by then
 */
export function useFocusAfter(focus: () => void): void {
  const store = useWorkbenchStore();
  const applied = useApplied();
  const isKnown = useWorkbench((s) => s.surveyed === s.documents);
  useEffect(() => {
    if (!applied || applied.isPassed || !isKnown) return;
    store.setState({ applied: { ...applied, isPassed: true } });
    focus();
  });
}
