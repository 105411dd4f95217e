'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo } from 'react';
import { targetOf, type Launch, type ScreenStage } from '@/core/project/launch';
import { createLaunchSurvey, type StageResult } from '@/core/launch/survey';
import { timelineOf, type Start, type Timeline } from '@/core/launch/timeline';
import type { Documents } from '@/core/project/documents';
import type { Case } from '@/core/screens/cases';
import { edit } from './edit';
import { useOutside } from './outside';
import type { WorkbenchStore } from './workbench';

/** The first launch of documents; a project has one unless somebody writes more. */
export const launchOf = ({ project }: Documents): Launch | undefined => project.launches?.[0];

/** Changes the launch as one step. */
export const editLaunch = (store: WorkbenchStore, recipe: (launch: Launch) => void) =>
  edit(store, stepOf('launch.change', 'the launch'), ({ project }) => {
    const launch = project.launches?.[0];
    if (launch) recipe(launch);
  });

/** A launch on one case. */
export interface Film {
  c: Case;
  stages: StageResult[];
  plain: ScreenStage[];
  timeline: Timeline;
}

/** How an app is started: from cold or from memory, and on which version of the system, where that is told apart. */
export interface Starting {
  start: Start;
  versions: string;
}

/** Films of several cases; none while the fonts are loaded. */
export function useFilms(
  documents: Documents,
  cases: readonly Case[],
  { start, versions }: Starting,
): Film[] {
  const outside = useOutside();
  const { fonts } = outside;
  return useMemo(() => {
    const launch = launchOf(documents);
    if (!launch || !fonts) return [];
    const survey = createLaunchSurvey(documents, launch, { fonts });
    return cases.map((c): Film => {
      const stages = survey.on(c, targetOf(launch, c.screen, versions));
      const plain = stages.map((s) => s.stage);
      return { c, stages, plain, timeline: timelineOf(launch, plain, start) };
    });
  }, [documents, cases, start, versions, fonts]);
}
