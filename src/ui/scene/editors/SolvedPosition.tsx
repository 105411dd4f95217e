'use client';
import { useCallback, useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { sayShare } from '@/core/formats/numbers';
import { findCase } from '@/core/screens/cases';
import type { AxisAnswer, PositionAnswer } from '@/core/solve/position';
import { useAsked, type Asking } from '../../state/ask';
import { useWorkbench } from '../../state/context';
import { caseName } from '../../words';

function Axis({ answer, word }: { answer: AxisAnswer; word: string }) {
  const screens = useWorkbench((s) => s.screens);
  const on = (id: string) => {
    const c = findCase(id, screens);
    return c ? caseName(c) : id;
  };
  switch (answer.kind) {
    case 'held': {
      const { low, high } = answer.interval;
      const range = low < high ? `from ${sayShare(low)} to ${sayShare(high)}` : `at ${sayShare(low)}`;
      return <li>{low <= 0 && high >= 1 ? `Anywhere ${word}.` : `${range} ${word}.`}</li>;
    }
    case 'alone':
      return (
        <li>
          Nowhere {word}: {answer.ask.subject} is never whole on {on(answer.ask.caseId)}.
        </li>
      );
    case 'pair': {
      const [a, b] = answer.asks;
      return (
        <li>
          Nowhere {word}: {a.subject} on {on(a.caseId)} and {b.subject} on {on(b.caseId)} exclude each other.
        </li>
      );
    }
  }
}

/** The middle of what is held, or the place that keeps the most weight. */
const placeOf = (answer: AxisAnswer, best: number) =>
  answer.kind === 'held' ? (answer.interval.low + answer.interval.high) / 2 : best;

/** Which positions keep everything that has to be seen, on every case; or what stands against it. */
export function SolvedPosition({
  layerId,
  onHold,
}: {
  layerId: string;
  onHold: (x: number, y: number) => void;
}) {
  const asking = useCallback<Asking<PositionAnswer | null>>(
    (worker, documents, sceneId) => worker.position(documents, sceneId, layerId),
    [layerId],
  );
  const answer = useAsked(asking);
  useEffect(() => {
    // The editor has grown: whatever places it looks again where there is room.
    if (answer) window.dispatchEvent(new Event('resize'));
  }, [answer]);
  if (!answer) return null;
  const { x, y, best } = answer;
  const solved = x.kind === 'held' && y.kind === 'held';
  return (
    <div className="bound offers" role="group" aria-label="Keep areas">
      <span className="choices-label">All keep areas are whole on every screen when it is held</span>
      <ul className="plain-list">
        <Axis answer={x} word="across" />
        <Axis answer={y} word="down" />
      </ul>
      {!solved && (
        <p className="quiet">
          The best place keeps {sayShare(best.asked > 0 ? best.kept / best.asked : 0)} of what is asked for,
          by weight.
        </p>
      )}
      <Button variant="quiet" size="sm" onClick={() => onHold(placeOf(x, best.x), placeOf(y, best.y))}>
        hold it there
      </Button>
    </div>
  );
}
