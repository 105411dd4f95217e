'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { saySince } from '@/core/since/say';
import type { Since } from '@/core/since/schema';
import { sayTime } from '@/core/words/words';
import { readSince } from '@/formats/api/sign-offs';
import { ask, messageOf } from '../api';

/** What has become of a project since it was signed off last, once that is worked out. */
export function SignedSince({ project, signOff }: { project: string; signOff: string }) {
  const [since, setSince] = useState<Since | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let ended = false;
    ask(readSince, { project, signOff }).then(
      (found) => !ended && setSince(found),
      (error: unknown) => !ended && setProblem(messageOf(error)),
    );
    return () => {
      ended = true;
    };
  }, [project, signOff]);
  if (problem) return <p className="outcome-fail figures">{problem}</p>;
  if (!since) return <p className="quiet figures">signed off; what has changed since is being worked out…</p>;
  const { text, isWorse } = saySince(since);
  return (
    <p className="figures">
      <span className="quiet">
        signed off by {since.signOff.by} {sayTime(since.signOff.at)}; since then:
      </span>{' '}
      <Link
        className={isWorse ? 'outcome-fail' : undefined}
        href={`/projects/${project}?lens=ship&since=${signOff}`}
      >
        {text.toLowerCase()}
      </Link>
    </p>
  );
}
