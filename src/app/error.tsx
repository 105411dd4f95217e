'use client';
import Link from 'next/link';
import { PageTitle } from '@/ui/parts/PageTitle';
import { useEffect } from 'react';

/** What is shown when a page itself fails: nothing that was saved is gone, and what was not is still in this tab. */
export default function PageError({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  useEffect(() => console.error(error), [error]);
  return (
    <main className="start" id="main">
      <PageTitle />
      <h1>This page has failed</h1>
      <p>
        {error.digest ? `The server could not make it (${error.digest}).` : error.message} What you changed is
        saved, or kept in this tab until it is.
      </p>
      <p>
        <button type="button" className="btn btn-primary" onClick={reset}>
          Try again
        </button>{' '}
        <Link href="/">To the projects</Link>
      </p>
    </main>
  );
}
