'use client';
import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Advice, Progress } from '@/core/findings/advise';
import type { Finding } from '@/core/findings/finding';
import type { Reason } from '@/core/explain/reason';
import { sayFault } from '../state/ask';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** What can be asked about one finding: why it is there, and what would mend it. */
export interface Answers {
  of: Finding;
  why: Reason;
  /** how far the trying of mends is; `null` before it starts */
  progress: Progress | null;
  /** `null` while mends are being tried, and where that was called off */
  mends: Advice[] | null;
  calledOff: boolean;
}

/** @returns the answers as they come, and a way to call the trying of mends off */
export function useAnswers(finding: Finding): { answers: Answers | null; callOff: () => void } {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const [answers, setAnswers] = useState<Answers | null>(null);
  const off = useRef(false);
  useEffect(() => {
    if (!worker) return;
    let ended = false;
    off.current = false;
    const more = (change: Partial<Answers>) => {
      if (!ended) setAnswers((now) => now && { ...now, ...change });
    };
    const ask = async () => {
      const why = await worker.because(documents, sceneId, finding);
      if (ended) return;
      setAnswers({ of: finding, why, progress: null, mends: null, calledOff: false });
      const goOn = (progress: Progress) => {
        more({ progress });
        return Promise.resolve(!ended && !off.current);
      };
      const mends = await worker.advise(documents, sceneId, finding, Comlink.proxy(goOn));
      more({ mends, calledOff: mends === null });
    };
    ask().catch((error: unknown) => {
      if (!ended) store.setState({ message: sayFault(error) });
    });
    return () => {
      ended = true;
    };
  }, [store, worker, documents, sceneId, finding]);
  const callOff = useCallback(() => {
    off.current = true;
  }, []);
  // What was said of an earlier state is not offered any more.
  return { answers: answers?.of === finding ? answers : null, callOff };
}
