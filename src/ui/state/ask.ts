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

/** What was answered, and to what. */
interface Answer<T> {
  to: Asking<T>;
  sceneId: string;
  documents: Documents;
  found: T;
}

export type Asking<T> = (worker: Remote<SurveyWorker>, documents: Documents, sceneId: string) => Promise<T>;

/**
 * What the worker says of the open scene as it is now; the last answer while a new one is worked out, and while
 * something is being dragged.
 * @param asking the same function for as long as the question is the same; `null` for none
 */
export const useAsked = <T>(asking: Asking<T> | null): T | null => useAnswer(asking).found;

/**
 * What the worker says of the open scene, as `useAsked`, with whether that is older than the last change.
 * @returns `found`: `null` until there is an answer
 */
export function useAnswer<T>(asking: Asking<T> | null): { found: T | null; isOlder: boolean } {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const busy = useWorkbench((s) => s.gesture !== null);
  const [answer, setAnswer] = useState<Answer<T> | null>(null);
  useEffect(() => {
    if (!worker || !asking || busy || !documents.scenes[sceneId]) return;
    let ended = false;
    asking(worker, documents, sceneId).then(
      (found) => !ended && setAnswer({ to: asking, sceneId, documents, found }),
      (error: unknown) => !ended && store.setState({ message: sayFault(error) }),
    );
    return () => {
      ended = true;
    };
  }, [store, worker, documents, sceneId, busy, asking]);
  // What was said of another scene is not said of this one.
  const now = answer?.to === asking && answer.sceneId === sceneId ? answer : null;
  return { found: now?.found ?? null, isOlder: now !== null && now.documents !== documents };
}
