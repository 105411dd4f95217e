'use client';
import type { ReactNode } from 'react';
import { FIRST_SYSTEMS } from '@/core/launch/described';
import { ENTER_WORDS, stageSentence, UNTIL_WORDS, type StagePart } from '@/core/launch/stage-sentence';
import { SYSTEM_WORDS } from '@/core/launch/system';
import { SYSTEMS, waitingStage, type Launch, type Stage, type System } from '@/core/project/launch';
import { useWorkbenchStore } from '../state/context';
import { editLaunch } from '../state/launched';
import { EasingPart, ListPart, TimePart, useLive } from './parts';

const ENTERS = (['none', 'fade'] as const).map((value) => ({ value, label: ENTER_WORDS[value] }));
const UNTIL = (['loaded', 'held'] as const).map((value) => ({ value, label: UNTIL_WORDS[value] }));
const optionsOf = (systems: readonly System[]) => systems.map((value) => ({ value, ...SYSTEM_WORDS[value] }));

export interface PartProps {
  stage: Stage;
  index: number;
  launch: Launch;
}

type Kind = StagePart['kind'];

/** What changes a part of a stage’s sentence, by what it is of. */
const PARTS: Record<Kind, (props: PartProps & { text: string }) => ReactNode> = {
  system: SystemPart,
  enter: EnterPart,
  fade: FadePart,
  easing: EasingOfPart,
  answers: AnswersPart,
  hold: HoldPart,
  until: UntilPart,
};

/** Who draws the stage: never the app where it is the first, as it cannot draw yet. */
function SystemPart({ stage, index, text }: PartProps & { text: string }) {
  const store = useWorkbenchStore();
  return (
    <ListPart
      label={`Who draws stage ${index + 1}`}
      text={text}
      options={optionsOf(index === 0 ? FIRST_SYSTEMS : SYSTEMS)}
      value={stage.system}
      onChoose={(system) => editLaunch(store, (l) => (l.stages[index]!.system = system))}
    />
  );
}

function EnterPart({ stage, index, text }: PartProps & { text: string }) {
  const store = useWorkbenchStore();
  return (
    <ListPart
      label="How it comes in"
      text={text}
      options={ENTERS}
      value={stage.enter}
      onChoose={(enter) => editLaunch(store, (l) => (l.stages[index]!.enter = enter))}
    />
  );
}

function FadePart({ stage, index }: PartProps) {
  const live = useLive();
  const set = (ms: number) => live((l) => (l.stages[index]!.durationMs = ms));
  return <TimePart label="Length of the fade" ms={stage.durationMs} set={set} />;
}

function EasingOfPart({ stage, index }: PartProps) {
  const live = useLive();
  return (
    <EasingPart value={stage.easing} set={(easing) => live((l) => (l.stages[index]!.easing = easing))} />
  );
}

function AnswersPart({ launch }: PartProps) {
  const live = useLive();
  return (
    <TimePart label="Time of the system" ms={launch.systemMs} set={(ms) => live((l) => (l.systemMs = ms))} />
  );
}

function HoldPart({ stage, index }: PartProps) {
  const live = useLive();
  const set = (ms: number) => live((l) => (l.stages[index]!.holdMs = ms));
  return <TimePart label="Time that it is held" ms={stage.holdMs} set={set} />;
}

/** One stage waits for the loading: this one, or none but the one before the last. */
function UntilPart({ index, launch, text }: PartProps & { text: string }) {
  const store = useWorkbenchStore();
  const wait = (until: 'held' | 'loaded') =>
    editLaunch(store, (l) => {
      for (const s of l.stages) delete s.waits;
      if (until === 'loaded') l.stages[index]!.waits = true;
    });
  return (
    <ListPart
      label={`Until when stage ${index + 1} stays`}
      text={text}
      options={UNTIL}
      value={index === waitingStage(launch.stages) ? 'loaded' : 'held'}
      onChoose={wait}
    />
  );
}

/** What a stage shows and for how long, as a sentence. */
export function StageSentence(props: PartProps) {
  const tokens = stageSentence(props.launch, props.index);
  return (
    <div className="sentence">
      {tokens.map((token, i) => {
        if (typeof token === 'string') return <span key={i}>{token}</span>;
        const Part = PARTS[token.kind];
        return <Part key={token.kind} {...props} text={token.text} />;
      })}
    </div>
  );
}
