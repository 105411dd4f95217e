'use client';
import { Button } from 'react-bootstrap';
import { tally } from '@/core/solve/summary';
import { useCounted, useScene, useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { countCases } from '../words';
import { Hint } from './Hint';

/** What the hints of the first look say, each for the place that it is about. */

export function FieldHint() {
  const { name } = useScene();
  const summaries = useWorkbench((s) => s.summaries);
  const counted = useCounted().length;
  return (
    <Hint id="field">
      <b>Start here.</b>{' '}
      {summaries.size > 0 && `${name} fails on ${tally(summaries.values()).fail} of ${countCases(counted)}. `}
      Each screen below stands for those like it, the gravest first. Choose one: beside it stands what is
      worst there, why, and what would mend it. All lengths are in <i>lu</i>, the unit of the layout; one is a
      CSS pixel.
    </Hint>
  );
}

export const ValleyHint = () => (
  <Hint id="valley">
    <b>The valley.</b> Every mark is a case: how wide it is for its height, and how much is lost. Press a mark
    to see its screen, drag across to look at a part, drag the dashed line to change the limit.
  </Hint>
);

export const SentenceHint = () => (
  <Hint id="sentence">
    <b>Rules are sentences.</b> Press an underlined part to change it; every screen follows at once. A part
    marked ▲ causes a failure.
  </Hint>
);

export const WhyHint = () => (
  <Hint id="why">
    <b>Why?</b> What is wrong is said in one sentence, with the part of the rule to change in it. Any figure
    further down can be pressed too: it says where it comes from.
  </Hint>
);

export const MendHint = () => (
  <Hint id="mend">
    <b>Mends</b> were tried on all cases before they are offered. Preview one, or apply it; undo brings
    everything back.
  </Hint>
);

export function LaunchHint() {
  const look = useLook();
  return (
    <Hint id="launch">
      <b>The launch.</b> Between the tap and this scene the system shows a window of its own.{' '}
      <Button variant="primary" size="sm" onClick={() => look({ lens: 'launch' })}>
        see the launch
      </Button>
    </Hint>
  );
}
