'use client';
import { useCallback } from 'react';
import { useWorkbenchStore } from './context';
import type { View } from './view';

/** Looks at something else: changes what of a project is looked at. The same function every time. */
export function useLook(): (change: Partial<View>) => void {
  const store = useWorkbenchStore();
  return useCallback((change) => store.setState(({ view }) => ({ view: { ...view, ...change } })), [store]);
}
