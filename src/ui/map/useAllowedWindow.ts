'use client';
import { stepOf } from '@/core/steps/commands';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';

export type WindowAxis = 'width' | 'height';
export type Bound = 'low' | 'high';
type Sizes = Record<WindowAxis, Record<Bound, number>>;

/** What is shown first where somebody wants to say which sizes are allowed. */
const FIRST: Sizes = { width: { low: 320, high: 1366 }, height: { low: 480, high: 1366 } };
/** The two bounds stay this far apart, lu. */
const APART = 10;
/** Of the bounds, lu. */
const [LEAST, MOST] = [1, 10_000];

/** The sizes that windows of the app may have, within the documents. */
export function useAllowedWindow() {
  const store = useWorkbenchStore();
  const own = useWorkbench((s) => s.documents.project.windowSizes);
  const set = (axis: WindowAxis, bound: Bound, value: number) =>
    editLive(store, stepOf('window.sizes'), ({ project }) => {
      const { low, high } = project.windowSizes?.[axis] ?? FIRST[axis];
      const lu = Math.round(value);
      project.windowSizes = {
        ...(project.windowSizes ?? FIRST),
        [axis]:
          bound === 'low'
            ? { low: Math.max(LEAST, Math.min(lu, high - APART)), high }
            : { low, high: Math.min(MOST, Math.max(lu, low + APART)) },
      };
    });
  return {
    allowed: own ?? FIRST,
    isAny: own === undefined,
    set,
    onCommit: () => commit(store),
    limit: () =>
      edit(store, stepOf('window.sizes'), ({ project }) => {
        project.windowSizes = FIRST;
      }),
    allowAny: () =>
      edit(store, stepOf('window.sizes'), ({ project }) => {
        delete project.windowSizes;
      }),
  };
}
