'use client';
import { stepOf } from '@/core/steps/commands';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';

export interface Range {
  low: number;
  high: number;
}

/** The two bounds stay this far apart, as a factor. */
const APART = 1.02;
const round = (ratio: number) => Math.round(ratio * 1000) / 1000;

/**
 * The ratios that windows of the app may have, within the documents.
 * @param whole what is shown while the project allows any
 */
export function useAllowed(whole: Range) {
  const store = useWorkbenchStore();
  const own = useWorkbench((s) => s.documents.project.ratios);
  const allowed: Range = own ?? whole;
  const set = (bound: keyof Range, ratio: number) =>
    editLive(store, stepOf('window.ratios'), ({ project }) => {
      const { low, high } = project.ratios ?? whole;
      project.ratios =
        bound === 'low'
          ? { low: round(Math.max(0.05, Math.min(ratio, high / APART))), high: round(high) }
          : { low: round(low), high: round(Math.min(20, Math.max(ratio, low * APART))) };
    });
  return {
    allowed,
    isAny: own === undefined,
    set,
    onCommit: () => commit(store),
    allowAny: () =>
      edit(store, stepOf('window.ratios'), ({ project }) => {
        delete project.ratios;
      }),
  };
}
