'use client';
import { useMemo } from 'react';
import type { Documents } from '@/core/project/documents';
import { freeWindow } from '@/core/screens/free';
import { findCase, type Case } from '@/core/screens/cases';
import { SLOT_KIND, type Screen } from '@/core/screens/screen';
import { surveyCase, surveyInput, type CaseResult } from '@/core/survey/survey';
import { useWorkbench } from './context';
import { useOutside, useWanted } from './outside';
import { windowOf } from './view';
import { waitsForFonts } from './workbench';

/** A case of a scene, the open one unless another is named, drawn and measured; `null` without a case, and while the scene waits for the fonts. */
export function useCaseResult(
  c: Case | null,
  documents: Documents | null,
  other?: string,
): CaseResult | null {
  const open = useWorkbench((s) => s.sceneId);
  const sceneId = other ?? open;
  const outside = useOutside();
  useWanted(documents, sceneId);
  return useMemo(() => {
    const scene = documents?.scenes[sceneId];
    if (!c || !scene || waitsForFonts(documents, sceneId, outside.fonts)) return null;
    return surveyCase(surveyInput(documents, scene, outside), c);
  }, [c, documents, sceneId, outside]);
}

/** The case of the close-up: the free window where that is looked at; `null` where none is chosen. */
export function useChosenCase(): Case | null {
  const screens = useWorkbench((s) => s.sceneScreens);
  const view = useWorkbench((s) => s.view);
  const { case: id, middle, window: size, appearance, around } = view;
  return useMemo(() => {
    const chosen = id ? findCase(id, screens) : null;
    const isFree = middle === 'window' || (middle === 'map' && size !== undefined);
    if (!isFree || !chosen || chosen.screen.kind === SLOT_KIND) return chosen;
    return freeWindow(windowOf({ window: size }), chosen.screen, appearance, around);
  }, [id, screens, middle, size, appearance, around]);
}

/** The screen that was chosen, whose density a free window has. */
export function useBaseScreen(): Screen | null {
  const screens = useWorkbench((s) => s.sceneScreens);
  const id = useWorkbench((s) => s.view.case);
  return useMemo(() => (id ? (findCase(id, screens)?.screen ?? null) : null), [id, screens]);
}
