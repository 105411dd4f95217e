'use client';
import { Button } from 'react-bootstrap';
import { lightOnly } from '@/core/launch/dark';
import { easingOf, fullAt } from '@/core/project/easing';
import { sayMs } from '@/core/words/numbers';
import { SYSTEMS, waitingStage, type Launch, type Stage } from '@/core/project/launch';
import { newStage } from '@/core/launch/new';
import { SYSTEM_WORDS } from '@/core/launch/system';
import { CloseDrawer } from '../parts/DrawerWays';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { OUTCOME_SHAPES } from '../words';
import type { LaunchFinding } from '@/core/launch/findings';
import { newId } from '@/workers/new-id';
import { editLaunch } from './launched';
import { EasingPart, ListPart, ScenePart, TimePart, useLive } from './parts';
import { TargetList } from './TargetList';

const ENTERS = [
  { value: 'none', label: 'at once' },
  { value: 'fade', label: 'by a fade' },
] as const;

const UNTIL = [
  { value: 'loaded', label: 'or until all is loaded' },
  { value: 'held', label: 'and no longer' },
] as const;

/** A fade that is whole only just before its end is not worth a word. */
const MOSTLY_THERE = 0.98;

/** What comes after another stage is given this long, so that it is seen on the timeline. */
const ADDED_MS = 1000;

interface StageProps {
  stage: Stage;
  index: number;
  launch: Launch;
  found: readonly LaunchFinding[];
}

type PartProps = Omit<StageProps, 'found'>;

/** How a stage that the app draws takes the place of the one before. */
function Entrance({ stage, index }: Omit<PartProps, 'launch'>) {
  const store = useWorkbenchStore();
  const live = useLive();
  const full = fullAt(easingOf(stage.easing)!);
  return (
    <>
      , comes in{' '}
      <ListPart
        label="How it comes in"
        text={ENTERS.find((e) => e.value === stage.enter)!.label}
        options={ENTERS}
        value={stage.enter}
        onChoose={(enter) => editLaunch(store, (l) => (l.stages[index]!.enter = enter))}
      />
      {stage.enter === 'fade' && (
        <>
          {' '}
          of{' '}
          <TimePart
            label="Length of the fade"
            ms={stage.durationMs}
            set={(ms) => live((l) => (l.stages[index]!.durationMs = ms))}
          />{' '}
          <EasingPart
            value={stage.easing}
            set={(easing) => live((l) => (l.stages[index]!.easing = easing))}
          />
          {full < MOSTLY_THERE && ` (wholly there after ${sayMs(stage.durationMs * full)})`}
        </>
      )}
    </>
  );
}

/** How long a stage stays that is neither the first nor the last. */
function Stay({ stage, index, launch }: PartProps) {
  const store = useWorkbenchStore();
  const live = useLive();
  const waiting = index === waitingStage(launch.stages);
  /** One stage waits for the loading: this one, or none but the one before the last. */
  const wait = (until: 'held' | 'loaded') =>
    editLaunch(store, (l) => {
      for (const s of l.stages) delete s.waits;
      if (until === 'loaded') l.stages[index]!.waits = true;
    });
  return (
    <>
      , stays{' '}
      <TimePart
        label="Time that it is held"
        ms={stage.holdMs}
        set={(ms) => live((l) => (l.stages[index]!.holdMs = ms))}
      />
      {launch.stages.length > 3 || stage.waits ? (
        <>
          {' '}
          <ListPart
            label={`Until when stage ${index + 1} stays`}
            text={UNTIL.find((u) => u.value === (waiting ? 'loaded' : 'held'))!.label}
            options={UNTIL}
            value={waiting ? 'loaded' : 'held'}
            onChoose={wait}
          />
        </>
      ) : (
        waiting && ' or until all is loaded'
      )}
      {waiting && ', whichever is later'}
    </>
  );
}

/** What a stage shows and for how long, as a sentence. */
function StageSentence({ stage, index, launch }: PartProps) {
  const store = useWorkbenchStore();
  const live = useLive();
  const last = index === launch.stages.length - 1;
  return (
    <div className="sentence">
      Drawn by{' '}
      <ListPart
        label={`Who draws stage ${index + 1}`}
        text={SYSTEM_WORDS[stage.system].label}
        options={SYSTEMS.map((value) => ({ value, ...SYSTEM_WORDS[value] }))}
        value={stage.system}
        onChoose={(system) => editLaunch(store, (l) => (l.stages[index]!.system = system))}
      />
      {stage.system === 'app' && index > 0 && <Entrance {...{ stage, index }} />}
      {index === 0 && !last && (
        <>
          , until the app answers after{' '}
          <TimePart
            label="Time of the system"
            ms={launch.systemMs}
            set={(ms) => live((l) => (l.systemMs = ms))}
          />
        </>
      )}
      {index > 0 && !last && <Stay {...{ stage, index, launch }} />}
      {last && ', and stays'}.
    </div>
  );
}

/** Moves a stage up, or removes it. */
function StageWays({ index, count }: { index: number; count: number }) {
  const store = useWorkbenchStore();
  const up = () =>
    editLaunch(store, (l) => {
      l.stages.splice(index - 1, 0, ...l.stages.splice(index, 1));
    });
  const remove = () => editLaunch(store, (l) => void l.stages.splice(index, 1));
  return (
    <span className="stage-ways">
      {index > 0 && (
        <Button variant="quiet" size="sm" aria-label={`Move stage ${index + 1} up`} onClick={up}>
          up
        </Button>
      )}
      {count > 1 && (
        <Button variant="quiet" size="sm" aria-label={`Remove stage ${index + 1}`} onClick={remove}>
          remove
        </Button>
      )}
    </span>
  );
}

function StageBlock({ stage, index, launch, found }: StageProps) {
  const store = useWorkbenchStore();
  const scene = useWorkbench((s) => s.documents.scenes[stage.scene]);
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const named = useWorkbench((s) => s.documents.project.named);
  const own = found.filter((f) => f.stage === index && !f.accepted);
  const gravest = own.some((f) => f.outcome === 'fail') ? 'fail' : 'warn';
  const light = scene ? lightOnly(scene, pictures, named) : [];
  return (
    <section className="layer" aria-label={`Stage ${index + 1}`}>
      <h3>
        {own.length > 0 && <span className={`outcome-${gravest}`}>{OUTCOME_SHAPES[gravest]} </span>}
        {index + 1}.{' '}
        <ScenePart
          label={`Scene of stage ${index + 1}`}
          value={stage.scene}
          onChoose={(id) => editLaunch(store, (l) => (l.stages[index]!.scene = id))}
        />
        <StageWays index={index} count={launch.stages.length} />
      </h3>
      <StageSentence {...{ stage, index, launch }} />
      {light.length > 0 && (
        <p className="quiet stage-note">Nothing for dark, so light is shown: {light.join(', ')}.</p>
      )}
    </section>
  );
}

/** How long the app takes until everything is loaded, from cold and warm. */
function LoadingTimes({ launch }: { launch: Launch }) {
  const live = useLive();
  return (
    <>
      <h2>Loading</h2>
      <div className="sentence">
        From the tap it takes{' '}
        <TimePart
          label="Loading from cold"
          ms={launch.loadingMs}
          set={(ms) => live((l) => (l.loadingMs = ms))}
        />{' '}
        until everything is loaded. Warm, it takes{' '}
        <TimePart
          label="Loading, warm"
          ms={launch.warm.loadingMs}
          set={(ms) => live((l) => (l.warm.loadingMs = ms))}
        />
        , and the app answers after{' '}
        <TimePart
          label="Time of the system, warm"
          ms={launch.warm.systemMs}
          set={(ms) => live((l) => (l.warm.systemMs = ms))}
        />
        .
      </div>
    </>
  );
}

/** The stages in order and the screens that show them, as sentences. */
export function StageColumn({ launch, found }: { launch: Launch; found: readonly LaunchFinding[] }) {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.project.scenes);
  const add = () =>
    editLaunch(store, ({ stages }) => {
      // What waits for the loading goes on doing so; what was the last has a time of its own from now on.
      const waiting = stages[waitingStage(stages)];
      if (waiting) waiting.waits = true;
      const last = stages.at(-1);
      if (last && stages.length > 1 && last.holdMs === 0) last.holdMs = ADDED_MS;
      stages.push(newStage(newId(), scenes[0]!));
    });
  return (
    <aside className="scene-column" aria-label="Stages">
      <CloseDrawer />
      <h2>
        Stages, in order
        <span>
          <Button variant="quiet" size="sm" disabled={launch.stages.length >= 8} onClick={add}>
            add
          </Button>
        </span>
      </h2>
      {launch.stages.map((stage, index) => (
        <StageBlock key={stage.id} {...{ stage, index, launch, found }} />
      ))}
      <LoadingTimes launch={launch} />
      <TargetList launch={launch} />
    </aside>
  );
}
