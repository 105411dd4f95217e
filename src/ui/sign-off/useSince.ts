'use client';
import { useEffect, useState } from 'react';
import type { Since } from '@/core/since/schema';
import { readSince } from '@/formats/api/sign-offs';
import { ask, messageOf } from '../api';
import { useWorkbench } from '../state/context';

interface Known {
  /** of which sign-off and which revision it is said */
  key: string;
  since: Since | null;
  problem: string | null;
}

/** What has changed since a sign-off, of the project as it was saved last; what was said of an earlier state is not said any more. */
export function useSince(signOff: string): { since: Since | null; problem: string | null } {
  const project = useWorkbench((s) => s.documents.project.id);
  const revision = useWorkbench((s) => s.revision);
  const [known, setKnown] = useState<Known | null>(null);
  const key = `${signOff} ${revision}`;
  useEffect(() => {
    let ended = false;
    ask(readSince, { project, signOff }).then(
      (since) => !ended && setKnown({ key, since, problem: null }),
      (error: unknown) => !ended && setKnown({ key, since: null, problem: messageOf(error) }),
    );
    return () => {
      ended = true;
    };
  }, [project, signOff, key]);
  const now = known?.key === key ? known : null;
  return { since: now?.since ?? null, problem: now?.problem ?? null };
}
