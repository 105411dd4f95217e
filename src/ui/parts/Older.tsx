'use client';
import type { ReactNode } from 'react';
import { useWorkbench } from '../state/context';
import { sayProgress } from '../words';

/** Marks figures that are older than the last change, in the line in which they stand; it keeps its room while they are not. */
export function OlderNote({ when, of = 'being worked out again' }: { when: boolean; of?: string }) {
  return (
    <span className="older-note" data-older={when || undefined} aria-hidden={!when}>
      {of}
    </span>
  );
}

interface Props {
  /** whether what is in it is older than the last change */
  when: boolean;
  children: ReactNode;
}

/** Figures that may be older than the last change: they lose their colours while they are. */
export const Older = ({ when, children }: Props) => (
  <div className="older" data-older={when || undefined} aria-busy={when}>
    {children}
  </div>
);

/** How far the first survey of a scene is, as words and as a bar. @param of how many cases it is of */
export function SurveyShare({ of }: { of: number }) {
  const counting = useWorkbench((s) => s.counting) ?? { doing: 'measuring' as const, done: 0, of };
  return (
    <>
      {sayProgress(counting)}{' '}
      <progress aria-label="How far it is" value={counting.done} max={Math.max(1, counting.of)} />
    </>
  );
}
