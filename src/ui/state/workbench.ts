import { createStore } from 'zustand/vanilla';
import type { Documents } from '@/core/scene/documents';
import type { Scene } from '@/core/scene/scene';
import { casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/scene/values';
import type { CaseSummary } from '@/core/survey/summary';
import type { SurveyInput } from '@/core/survey/survey';
import type { View } from './view';

export interface WorkbenchState {
  documents: Documents;
  revision: number;
  sceneId: string;
  screens: Screen[];
  /** all cases of the project, both appearances */
  cases: Case[];
  /** what the last survey of everything found; empty until the first one is through */
  summaries: ReadonlyMap<string, CaseSummary>;
  view: View;
}

export interface WorkbenchStart {
  documents: Documents;
  revision: number;
  sceneId: string;
  screens: Screen[];
  view: View;
}

export const createWorkbench = (start: WorkbenchStart) =>
  createStore<WorkbenchState>(() => ({
    ...start,
    cases: casesOf(start.screens, APPEARANCES),
    summaries: new Map(),
  }));
export type WorkbenchStore = ReturnType<typeof createWorkbench>;

export const sceneOf = (s: Pick<WorkbenchState, 'documents' | 'sceneId'>): Scene =>
  s.documents.scenes[s.sceneId]!;

/** What a survey of the open scene needs of the documents. */
export function surveyInput({ project }: Documents, scene: Scene): SurveyInput {
  return { scene, pictures: project.pictures, named: project.named, limits: project.limits };
}
