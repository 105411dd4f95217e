'use client';
import { useEffect, useState } from 'react';
import { messageOf, type Sending } from '../api';
import type { Reading } from './Sent';

/** How something is sent that may have to wait before. */
export interface Waitable extends Sending {
  /** hears why it is not sent yet, as it is said after “waits:”; `null` once it does not wait any more */
  onWaiting: (why: string | null) => void;
}

/** Something to be sent. */
interface Job {
  /** what it is called */
  name: string;
  /** sends it */
  work: (sending: Waitable) => Promise<void>;
  /** hears why it could not be sent, unless it was cancelled */
  onProblem: (message: string) => void;
}

/**
 * Sends one thing after another, in the order in which they came.
 * @param onReading hears how far the one is that is being sent; `null` once none is
 */
export function createSender(onReading: (reading: Reading | null) => void) {
  const waiting: Job[] = [];
  let running: AbortController | null = null;
  let isSending = false;
  const sendOne = async ({ name, work, onProblem }: Job) => {
    const abort = (running = new AbortController());
    const onProgress = (share: number) => onReading({ name, share });
    const onWaiting = (waits: string | null) => onReading({ name, share: 0, waits });
    onProgress(0);
    try {
      await work({ onProgress, onWaiting, signal: abort.signal });
    } catch (error) {
      if (!abort.signal.aborted) onProblem(messageOf(error));
    } finally {
      running = null;
      onReading(null);
    }
  };
  return {
    /** Resolves once everything has been sent that is waiting now. */
    async send(job: Job): Promise<void> {
      waiting.push(job);
      if (isSending) return;
      isSending = true;
      try {
        for (let next = waiting.shift(); next; next = waiting.shift()) await sendOne(next);
      } finally {
        isSending = false;
      }
    },
    /** Calls off what is being sent; what waits is sent after it. */
    cancel: () => running?.abort(),
    /** Calls off everything. */
    end: () => {
      waiting.length = 0;
      running?.abort();
    },
  };
}

/** Sends something to the server, one thing after another: how far it is, and the way to cancel. */
export function useSending() {
  const [reading, setReading] = useState<Reading | null>(null);
  const [sender] = useState(() => createSender(setReading));
  useEffect(() => () => sender.end(), [sender]);
  const send = (name: string, work: Job['work'], onProblem: Job['onProblem']) =>
    sender.send({ name, work, onProblem });
  return { reading, send, cancel: sender.cancel };
}
