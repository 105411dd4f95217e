'use client';
import { useEffect, useState } from 'react';
import type { Advice } from '@/core/findings/advise';
import { causeOf } from '@/core/findings/because';
import type { Finding } from '@/core/findings/finding';
import type { Reason } from '@/core/explain/reason';
import { useWorkbench } from '../state/context';

/** The findings of the open scene as it is now; the last ones while new ones are worked out, `null` before any. */
export function useFindings(): Finding[] | null {
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const busy = useWorkbench((s) => s.gesture !== null);
  const [found, setFound] = useState<Finding[] | null>(null);
  useEffect(() => {
    if (!worker || busy || !documents.scenes[sceneId]) return;
    let ended = false;
    void worker.findings(documents, sceneId).then((list) => !ended && setFound(list));
    return () => {
      ended = true;
    };
  }, [worker, documents, sceneId, busy]);
  return found;
}

/** What can be asked about one finding: why it is there, and what would mend it. */
export interface Answers {
  why: Reason;
  cause: Reason['part'];
  /** `null` while mends are being tried */
  mends: Advice[] | null;
}

export function useAnswers(finding: Finding): Answers | null {
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const [answers, setAnswers] = useState<Answers | null>(null);
  useEffect(() => {
    if (!worker) return;
    let ended = false;
    const ask = async () => {
      const why = await worker.because(documents, sceneId, finding);
      if (ended) return;
      setAnswers({ why, cause: causeOf(why), mends: null });
      const mends = await worker.advise(documents, sceneId, finding);
      if (!ended) setAnswers({ why, cause: causeOf(why), mends });
    };
    void ask();
    return () => {
      ended = true;
    };
  }, [worker, documents, sceneId, finding]);
  return answers;
}
