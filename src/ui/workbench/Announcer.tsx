'use client';
import { useEffect, useState } from 'react';
import { tally } from '@/core/solve/summary';
import { announcementOf, sayFailing } from '../state/announced';
import { useWorkbenchStore } from '../state/context';
import type { WorkbenchStore } from '../state/workbench';

/** Hears what an edit did, and what it came to once all cases were measured with it. */
function listen(store: WorkbenchStore, say: (words: string) => void): () => void {
  let waiting: { words: string; counts: { fail: number } } | null = null;
  return store.subscribe((now, before) => {
    const words = announcementOf(now, before);
    if (words !== null) {
      waiting = { words, counts: waiting?.counts ?? tally(before.summaries.values()) };
      say(words);
    }
    if (!waiting || now.surveyed !== now.documents) return;
    const failing = sayFailing(waiting.counts, tally(now.summaries.values()));
    if (failing) say(`${waiting.words} ${failing}`);
    waiting = null;
  });
}

/** Says to those who do not see it what an edit did. */
export function Announcer() {
  const store = useWorkbenchStore();
  const [said, setSaid] = useState('');
  useEffect(() => listen(store, setSaid), [store]);
  return (
    <p className="visually-hidden" role="status" aria-label="What was changed">
      {said}
    </p>
  );
}
