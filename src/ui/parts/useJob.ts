'use client';
import { callOffJob, readJob, startJob } from '@/formats/api/jobs';
import { useCallback, useEffect, useRef, useState } from 'react';
import { isOver, Job, type JobWanted } from '@/formats/job';
import { messageOf, ask } from '../api';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { downloadFrom } from './download';

/** From one question how far a job is to the next. */
const ASKED_EACH_MS = 250;
const pause = () => new Promise((resolve) => setTimeout(resolve, ASKED_EACH_MS));

/** What a job has made. @throws with the words of the server where it has made nothing */
export function resultOf({ result, problem }: Job): NonNullable<Job['result']> {
  if (!result) throw new Error(problem?.detail ?? 'It was called off.');
  return result;
}

/** Fetches what a job has made, and hands it to the browser. @throws with the words of the server */
async function take(job: Job): Promise<void> {
  const { href, name } = resultOf(job);
  await downloadFrom(href, name);
}

/**
 * Has a file made by the server and hands it to the browser.
 * @returns how far it is, `null` while nothing is made; a way to begin; and one to call it off
 */
export function useJob() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const [job, setJob] = useState<Job | null>(null);
  const running = useRef<string | null>(null);
  const end = useCallback(() => {
    const id = running.current;
    running.current = null;
    setJob(null);
    // It may be over already; nobody waits for it either way.
    if (id) ask(callOffJob, { project, job: id }).catch(() => {});
  }, [project]);
  useEffect(() => end, [end]);
  /**
   * @param what it is called in a message, such as “The film”
   * @param then what is done with it once it is made @returns whether it was made and handed over
   */
  const begin = async (what: string, asked: JobWanted, then = take): Promise<boolean> => {
    try {
      let now = await ask(startJob, { project }, { body: asked });
      running.current = now.id;
      const isMine = () => running.current === now.id;
      setJob(now);
      while (!isOver(now) && isMine()) {
        await pause();
        if (!isMine()) return false;
        now = await ask(readJob, { project, job: now.id });
        if (isMine()) setJob(now);
      }
      if (!isMine()) return false;
      await then(now);
      if (now.result?.said) store.setState({ message: now.result.said });
      return true;
    } catch (error) {
      store.setState({ message: `${what} could not be made. ${messageOf(error)}` });
      return false;
    } finally {
      running.current = null;
      setJob(null);
    }
  };
  return { job, begin, callOff: end };
}
