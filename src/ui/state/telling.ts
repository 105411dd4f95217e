'use client';
import { useCallback, useMemo } from 'react';
import { findCase, type Case } from '@/core/screens/cases';
import { useAsked, type Asking } from './ask';
import { useWorkbench } from './context';

/**
 * A few cases of the open scene between which the measures differ most, as the worker finds them.
 * @param most how many at most, asked when they are; the same function every time
 */
export function useTelling(most: () => number): Case[] {
  const appearance = useWorkbench((s) => s.view.appearance);
  const screens = useWorkbench((s) => s.screens);
  const asking = useCallback<Asking<string[]>>(
    (worker, documents, sceneId) => worker.telling(documents, sceneId, appearance, most()),
    [appearance, most],
  );
  const ids = useAsked(asking);
  return useMemo(() => (ids ?? []).flatMap((id) => findCase(id, screens) ?? []), [ids, screens]);
}
