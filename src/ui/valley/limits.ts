'use client';
import { stepOf } from '@/core/steps/commands';
import type { ValleyMeasure } from '@/core/solve/valley';
import { useWorkbenchStore } from '../state/context';
import { commit, editLive } from '../state/edit';
import type { ValleyData } from './useValley';

export interface ValleyProps {
  data: ValleyData;
  measure: ValleyMeasure;
}

export const WORDS: Record<ValleyMeasure, string> = {
  crop: 'crop',
  bare: 'bare',
  distortion: 'distortion',
  'keep-lost': 'keep areas',
};
/** Changes a limit of the background within the documents, found by its measure and outcome. */
export function useLimit(measure: ValleyMeasure) {
  const store = useWorkbenchStore();
  const set = (outcome: string, max: number) =>
    editLive(store, stepOf('limit.change', WORDS[measure]), ({ project }) => {
      const limit = project.limits.find(
        (l) =>
          l.role === 'background' && l.measure === measure && l.outcome === outcome && l.max !== undefined,
      );
      if (limit) limit.max = Math.round(Math.max(0, Math.min(1, max)) * 1000) / 1000;
    });
  return { set, onCommit: () => commit(store) };
}
