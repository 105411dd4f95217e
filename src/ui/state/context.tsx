'use client';
import { createContext, useContext, useMemo } from 'react';
import { useStore } from 'zustand';
import type { Case } from '@/core/screens/cases';
import { countedCases } from '@/core/screens/counted';
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

/** The cases that the project counts: those of the ratios that it allows. */
export function useCounted(): Case[] {
  const cases = useWorkbench((s) => s.cases);
  const ratios = useWorkbench((s) => s.documents.project.ratios);
  return useMemo(() => countedCases(cases, ratios), [cases, ratios]);
}

/** The open scene; only for what is shown while there is one. */
export function useScene(): Scene {
  const scene = useWorkbench(sceneOf);
  if (!scene) throw new Error('This part of the page needs an open scene.');
  return scene;
}
