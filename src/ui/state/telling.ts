'use client';
import { useCallback, useMemo } from 'react';
import { findCase, type Case } from '@/core/screens/cases';
import type { Appearance } from '@/core/values/values';
import { useAsked, type Asking } from './ask';
import { useWorkbench } from './context';

const SEPARATOR = ',';

/** The screens, each as it is held, that a view is compared on: “phone-390x844-3x.0”. */
export const screensOn = (on: string | undefined): string[] => on?.split(SEPARATOR).filter(Boolean) ?? [];
/** The same as it stands in a view; absent for none. */
export const sayOn = (screens: readonly string[]): string | undefined => screens.join(SEPARATOR) || undefined;
const casesOn = (on: string, appearance: Appearance) => screensOn(on).map((s) => `${s}.${appearance}`);

/**
 * The cases that somebody has chosen to compare on; else a few of the open scene between which the measures differ most, as
 * the worker finds them.
 * @param most how many at most, asked when they are; the same function every time
 */
export function useTelling(most: () => number): Case[] {
  const appearance = useWorkbench((s) => s.view.appearance);
  const screens = useWorkbench((s) => s.screens);
  const asking = useCallback<Asking<string[]>>(
    (worker, documents, sceneId) => worker.telling(documents, sceneId, appearance, most()),
    [appearance, most],
  );
  const chosen = useWorkbench((s) => s.view.on);
  const ids = useAsked(chosen === undefined ? asking : null);
  return useMemo(() => {
    const shown = chosen === undefined ? ids : casesOn(chosen, appearance);
    return (shown ?? []).flatMap((id) => findCase(id, screens) ?? []);
  }, [chosen, appearance, ids, screens]);
}
