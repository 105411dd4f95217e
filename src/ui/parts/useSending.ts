'use client';
import { useEffect, useRef, useState } from 'react';
import { messageOf, type Sending } from '../api';
import type { Reading } from './Sent';

/** Sends something to the server, one thing after another: how far it is, and the way to cancel. */
export function useSending() {
  const [reading, setReading] = useState<Reading | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  /**
   * Nothing is begun while something else is sent.
   * @param name what it is called @param work sends it @param onProblem hears why it could not be, unless it was cancelled
   */
  const send = async (
    name: string,
    work: (sending: Sending) => Promise<void>,
    onProblem: (message: string) => void,
  ) => {
    if (running.current) return;
    const abort = (running.current = new AbortController());
    const onProgress = (share: number) => setReading({ name, share });
    onProgress(0);
    try {
      await work({ onProgress, signal: abort.signal });
    } catch (error) {
      if (!abort.signal.aborted) onProblem(messageOf(error));
    } finally {
      running.current = null;
      setReading(null);
    }
  };
  return { reading, send, cancel: () => running.current?.abort() };
}
