'use client';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Documents } from '@/core/project/documents';
import type { SurveyWorker } from '@/workers/survey.worker';
import { messageOf } from '../api';
import { useWorkbench, useWorkbenchStore } from './context';

/** That something which takes all cases could not be worked out. */
export const sayFault = (error: unknown) =>
  `This could not be worked out: ${messageOf(error)} It is tried again with the next change.`;

export type Asking<T> = (worker: Remote<SurveyWorker>, documents: Documents, sceneId: string) => Promise<T>;

/**
 * What the worker says of the open scene as it is now; the last answer while a new one is worked out, and while
 * something is being dragged.
 * @param asking the same function for as long as the question is the same; `null` for none
 */
export function useAsked<T>(asking: Asking<T> | null): T | null {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const busy = useWorkbench((s) => s.gesture !== null);
  const [answer, setAnswer] = useState<{ to: Asking<T>; found: T } | null>(null);
  useEffect(() => {
    if (!worker || !asking || busy || !documents.scenes[sceneId]) return;
    let ended = false;
    asking(worker, documents, sceneId).then(
      (found) => !ended && setAnswer({ to: asking, found }),
      (error: unknown) => !ended && store.setState({ message: sayFault(error) }),
    );
    return () => {
      ended = true;
    };
  }, [store, worker, documents, sceneId, busy, asking]);
  return answer && answer.to === asking ? answer.found : null;
}
