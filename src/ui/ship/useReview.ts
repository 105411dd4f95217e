'use client';
import * as Comlink from 'comlink';
import { useEffect, useState } from 'react';
import type { Documents } from '@/core/project/documents';
import type { ReviewProgress } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import { sayFault } from '../state/ask';
import { useWorkbench, useWorkbenchStore } from '../state/context';

interface Known {
  /** of these documents it is said */
  of: Documents;
  progress: ReviewProgress;
  review: Review | null;
}

const NOT_BEGUN: ReviewProgress = { done: 0, of: 0, doing: 'reading the pixels of its files' };

/** The review of the project as it was saved last, as the worker makes it, and how far it is until then. */
export function useReview(): { review: Review | null; progress: ReviewProgress } {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const stored = useWorkbench((s) => s.stored);
  const [known, setKnown] = useState<Known | null>(null);
  useEffect(() => {
    if (!worker) return;
    let ended = false;
    const { revision } = store.getState();
    const goOn = (progress: ReviewProgress) => {
      if (!ended) setKnown({ of: stored, progress, review: null });
      return Promise.resolve(!ended);
    };
    worker.review(stored, revision, Comlink.proxy(goOn)).then(
      (review) => review && !ended && setKnown({ of: stored, progress: NOT_BEGUN, review }),
      (error: unknown) => !ended && store.setState({ message: sayFault(error) }),
    );
    return () => {
      ended = true;
    };
  }, [store, worker, stored]);
  // What was said of an earlier state is not said any more.
  const now = known?.of === stored ? known : null;
  return { review: now?.review ?? null, progress: now?.progress ?? NOT_BEGUN };
}
