'use client';
import { createContext, useContext, useMemo } from 'react';
import { useStore } from 'zustand';
import type { Case } from '@/core/screens/cases';
import { countedFor } from '@/core/icons/slots';
import type { Scene } from '@/core/scene/scene';
import { sceneOf, type WorkbenchState, type WorkbenchStore } from './workbench';

const Context = createContext<WorkbenchStore | null>(null);
export const WorkbenchProvider = Context.Provider;

export function useWorkbenchStore(): WorkbenchStore {
  const store = useContext(Context);
  if (!store) throw new Error('This part of the page needs an open workbench.');
  return store;
}

export const useWorkbench = <T,>(select: (state: WorkbenchState) => T): T =>
  useStore(useWorkbenchStore(), select);

/** The cases on which the open scene is judged: those of the ratios that the project allows, or the slots of an icon. */
export function useCounted(): Case[] {
  const cases = useWorkbench((s) => s.cases);
  const scene = useWorkbench(sceneOf);
  const ratios = useWorkbench((s) => s.documents.project.ratios);
  const iconSets = useWorkbench((s) => s.documents.project.iconSets);
  return useMemo(() => countedFor(scene, { ratios, iconSets }, cases), [scene, cases, ratios, iconSets]);
}

/** The open scene; only for what is shown while there is one. */
export function useScene(): Scene {
  const scene = useWorkbench(sceneOf);
  if (!scene) throw new Error('This part of the page needs an open scene.');
  return scene;
}
