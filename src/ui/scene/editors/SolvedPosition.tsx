'use client';
import { useCallback, useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { sayShare, sayWeight } from '@/core/words/numbers';
import { fittingRules } from '@/core/scene/rules';
import { findCase } from '@/core/screens/cases';
import type { AxisAnswer, PositionAnswer } from '@/core/solve/position';
import { Older, OlderNote } from '../../parts/Older';
import { useAnswer, type Asking } from '../../state/ask';
import { useScene, useWorkbench } from '../../state/context';
import { caseName } from '../../words';

function Axis({ answer, word }: { answer: AxisAnswer; word: string }) {
  const screens = useWorkbench((s) => s.sceneScreens);
  const on = (id: string) => {
    const c = findCase(id, screens);
    return c ? caseName(c) : id;
  };
  switch (answer.kind) {
    case 'held': {
      const { low, high } = answer.interval;
      if (low <= 0 && high >= 1) return <li>{word}: anywhere.</li>;
      return (
        <li>
          {word}: {low < high ? `from ${sayShare(low)} to ${sayShare(high)}` : `at ${sayShare(low)}`}.
        </li>
      );
    }
    case 'alone':
      return (
        <li>
          {word}: nowhere. {answer.ask.subject} is never whole on {on(answer.ask.caseId)}.
        </li>
      );
    case 'pair': {
      const [a, b] = answer.asks;
      return (
        <li>
          {word}: nowhere. {a.subject} on {on(a.caseId)} and {b.subject} on {on(b.caseId)} exclude each other.
        </li>
      );
    }
  }
}

/** The middle of what is held, or the place that keeps the most weight; %, in tenths. */
const placeOf = (answer: AxisAnswer, best: number) => {
  const place = answer.kind === 'held' ? (answer.interval.low + answer.interval.high) / 2 : best;
  return Math.round(place * 1000) / 10;
};

/** Which positions keep everything that has to be seen, on every case that takes this rule; or what stands against it. */
export function SolvedPosition({
  layerId,
  rule,
  onHold,
}: {
  layerId: string;
  /** one of those that differ, or the usual one for −1 */
  rule: number;
  /** @param x and y, % of the free way */
  onHold: (x: number, y: number) => void;
}) {
  const asking = useCallback<Asking<PositionAnswer | null>>(
    (worker, documents, sceneId) => worker.position(documents, sceneId, layerId, rule),
    [layerId, rule],
  );
  const { found: answer, isOlder } = useAnswer(asking);
  const scene = useScene();
  const layer = scene.layers.find((l) => l.id === layerId);
  const differs = layer?.kind === 'picture' && fittingRules(layer).length > 1;
  const screens = differs ? 'every screen that takes this rule' : 'every screen';
  useEffect(() => {
    // The editor has grown: whatever places it looks again where there is room.
    if (answer) window.dispatchEvent(new Event('resize'));
  }, [answer]);
  if (!answer) return null;
  const { x, y, best } = answer;
  const solved = x.kind === 'held' && y.kind === 'held';
  const [across, down] = [placeOf(x, best.x), placeOf(y, best.y)];
  return (
    <div className="bound offers" role="group" aria-label="Keep areas">
      <span className="choices-label">
        {solved ? `Where all keep areas are whole on ${screens}` : 'No position shows all keep areas whole'}
      </span>
      <Older when={isOlder}>
        <ul className="plain-list">
          <Axis answer={x} word="Across" />
          <Axis answer={y} word="Down" />
        </ul>
        {!solved && (
          <p className="quiet">
            The best place keeps {sayWeight(best.asked > 0 ? best.kept / best.asked : 0)} of what is asked
            for, by weight.
          </p>
        )}
        <OlderNote when={isOlder} />
      </Older>
      <Button variant="quiet" size="sm" disabled={isOlder} onClick={() => onHold(across, down)}>
        hold it {sayShare(across / 100)} across, {sayShare(down / 100)} down
      </Button>
    </div>
  );
}
