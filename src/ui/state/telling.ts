'use client';
import { useCallback, useMemo } from 'react';
import { isIcon } from '@/core/icons/slots';
import { scenesInOrder, type Documents } from '@/core/project/documents';
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

/** A scene that is looked at on screens: the open one, or the first that is no icon where it is one. */
function onScreens(documents: Documents, open: string): string {
  const scenes = scenesInOrder(documents).filter((s) => !isIcon(s));
  return (scenes.find((s) => s.id === open) ?? scenes[0])?.id ?? open;
}

/**
 * The cases that somebody has chosen to compare on; else a few of the open scene between which the measures differ most, as
 * the worker finds them.
 * @param most how many at most, asked when they are; the same function every time
 * @param on what is compared on: what the open scene is looked at on, or the screens of the project
 */
export function useTelling(most: () => number, on: 'scene' | 'screens' = 'scene'): Case[] {
  const appearance = useWorkbench((s) => s.view.appearance);
  const screens = useWorkbench((s) => (on === 'scene' ? s.sceneScreens : s.screens));
  const asking = useCallback<Asking<string[]>>(
    (worker, documents, sceneId) =>
      worker.telling(documents, on === 'scene' ? sceneId : onScreens(documents, sceneId), appearance, most()),
    [appearance, most, on],
  );
  const chosen = useWorkbench((s) => s.view.on);
  const ids = useAsked(chosen === undefined ? asking : null);
  return useMemo(() => {
    const shown = chosen === undefined ? ids : casesOn(chosen, appearance);
    return (shown ?? []).flatMap((id) => findCase(id, screens) ?? []);
  }, [chosen, appearance, ids, screens]);
}
