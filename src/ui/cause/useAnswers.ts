'use client';
import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Advice } from '@/core/findings/advise';
import type { InShort } from '@/core/findings/in-short';
import type { SceneFinding } from '@/core/findings/scene';
import type { Progress } from '@/core/findings/trying';
import type { Reason } from '@/core/explain/reason';
import type { LaunchAdvice } from '@/core/launch/advice';
import type { LaunchFinding } from '@/core/launch/findings';
import type { Documents } from '@/core/project/documents';
import type { GoOn } from '@/render/review';
import { sayFault } from '../state/ask';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import type { WorkbenchState } from '../state/workbench';

/** How the worker is asked for what would mend a finding. */
type AskMends<F, M> = (
  worker: NonNullable<WorkbenchState['worker']>,
  documents: Documents,
  finding: F,
  goOn: GoOn<Progress>,
) => Promise<M[] | null>;

/** What can be asked about one finding: why it is there, and what would mend it. */
export interface Answers<M> {
  of: unknown;
  /** `null` where only mends were asked for */
  why: Reason | null;
  /** the same in one sentence; `null` of a launch, and likewise */
  short: InShort | null;
  /** how far the trying of mends is; `null` before it starts */
  progress: Progress | null;
  /** `null` while mends are being tried, and where that was called off */
  mends: M[] | null;
  calledOff: boolean;
}

/**
 * Asks about a finding of the scene or of the launch.
 * @param askMends the same function each time
 * @param asksWhy whether anybody wants to know why it is there
 * @returns the answers as they come, and a way to call the trying of mends off
 */
function useAnswersOf<F extends SceneFinding | LaunchFinding, M>(
  finding: F,
  askMends: AskMends<F, M>,
  asksWhy = true,
): { answers: Answers<M> | null; callOff: () => void } {
  const store = useWorkbenchStore();
  const worker = useWorkbench((s) => s.worker);
  const documents = useWorkbench((s) => s.documents);
  const [answers, setAnswers] = useState<Answers<M> | null>(null);
  const off = useRef(false);
  useEffect(() => {
    if (!worker) return;
    let ended = false;
    off.current = false;
    const more = (change: Partial<Answers<M>>) => {
      if (!ended) setAnswers((now) => now && { ...now, ...change });
    };
    const ask = async () => {
      const [why, short] = await Promise.all([
        asksWhy ? worker.because(documents, finding) : null,
        asksWhy && finding.source === 'scene' ? worker.inShort(documents, finding) : null,
      ]);
      if (ended) return;
      setAnswers({ of: finding, why, short, progress: null, mends: null, calledOff: false });
      const goOn = (progress: Progress) => {
        more({ progress });
        return Promise.resolve(!ended && !off.current);
      };
      const mends = await askMends(worker, documents, finding, Comlink.proxy(goOn));
      more({ mends, calledOff: mends === null });
    };
    ask().catch((error: unknown) => {
      if (!ended) store.setState({ message: sayFault(error) });
    });
    return () => {
      ended = true;
    };
  }, [store, worker, documents, finding, askMends, asksWhy]);
  const callOff = useCallback(() => {
    off.current = true;
  }, []);
  // What was said of an earlier state is not offered any more.
  return { answers: answers?.of === finding ? answers : null, callOff };
}

const askScene: AskMends<SceneFinding, Advice> = (worker, documents, finding, goOn) =>
  worker.advise(documents, finding, goOn);
const askLaunch: AskMends<LaunchFinding, LaunchAdvice> = (worker, documents, finding, goOn) =>
  worker.launchAdvice(documents, finding, goOn);

/** Why a finding of the scene is there, and what would mend it. */
export const useAnswers = (finding: SceneFinding) => useAnswersOf(finding, askScene);

/** What would mend a finding of the scene, and nothing else. */
export const useMends = (finding: SceneFinding) => useAnswersOf(finding, askScene, false);

/** Why a finding of the launch is there, and what would mend it. */
export const useLaunchAnswers = (finding: LaunchFinding) => useAnswersOf(finding, askLaunch);
