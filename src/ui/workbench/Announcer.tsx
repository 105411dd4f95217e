'use client';
import { useEffect, useState } from 'react';
import { announcementOf } from '../state/announced';
import { useWorkbenchStore } from '../state/context';

/** Says to those who do not see it what an edit did. */
export function Announcer() {
  const store = useWorkbenchStore();
  const [said, setSaid] = useState('');
  useEffect(
    () =>
      store.subscribe((now, before) => {
        const next = announcementOf(now, before);
        if (next !== null) setSaid(next);
      }),
    [store],
  );
  return (
    <p className="visually-hidden" role="status" aria-label="What was changed">
      {said}
    </p>
  );
}
