import { useWorkbench } from './context';
import type { WorkbenchState } from './workbench';

/** Whether the counts and outcomes of all cases are of documents that were changed since. */
export const isSurveyOlder = ({ surveyed, documents }: WorkbenchState): boolean => surveyed !== documents;

/** Whether the findings, and what causes them, are of documents that were changed since. */
export const areFindingsOlder = ({ explained, documents }: WorkbenchState): boolean =>
  explained !== documents;

export const useSurveyIsOlder = (): boolean => useWorkbench(isSurveyOlder);
export const useFindingsAreOlder = (): boolean => useWorkbench(areFindingsOlder);
