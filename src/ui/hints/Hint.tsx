'use client';
import { useEffect, useRef, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { DRAWER_OF, HINTS, keepHints, type HintId } from './hints';

/** A hint in the place that it is about; only one is shown at a time, until all were closed. */
export function Hint({ id, children }: { id: HintId; children: ReactNode }) {
  const store = useWorkbenchStore();
  const closed = useWorkbench((s) => s.hintsClosed);
  const isShown = HINTS[closed] === id;
  const ref = useRef<HTMLElement>(null);
  const atFirst = useRef(closed);
  // What one has asked for by “next” is brought into view; what stands there from the start is not.
  useEffect(() => {
    if (isShown && closed !== atFirst.current) ref.current?.focus();
  }, [isShown, closed]);
  if (!isShown) return null;
  const close = (upTo: number) => {
    keepHints(upTo);
    const next = HINTS[upTo];
    store.setState({ hintsClosed: upTo, drawer: (next && DRAWER_OF[next]) ?? null });
  };
  const isLast = closed === HINTS.length - 1;
  return (
    <aside className="hint" ref={ref} tabIndex={-1} aria-label={`Hint ${closed + 1} of ${HINTS.length}`}>
      <div>{children}</div>
      <p className="hint-ways">
        <span className="quiet figures">
          {closed + 1} of {HINTS.length}
        </span>
        <Button variant="quiet" size="sm" onClick={() => close(closed + 1)}>
          {isLast ? 'close' : 'next'}
        </Button>
        {!isLast && (
          <Button variant="quiet" size="sm" onClick={() => close(HINTS.length)}>
            close all hints
          </Button>
        )}
      </p>
    </aside>
  );
}
