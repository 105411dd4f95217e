'use client';
import { Button } from 'react-bootstrap';
import { lightOnly } from '@/core/launch/dark';
import { withSystemFirst } from '@/core/launch/described';
import { waitingStage, type Launch } from '@/core/project/launch';
import { newStage } from '@/core/launch/new';
import { CloseDrawer } from '../parts/DrawerWays';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { OUTCOME_SHAPES } from '../words';
import type { LaunchFinding } from '@/core/launch/findings';
import { newId } from '@/workers/new-id';
import { editLaunch } from '../state/launched';
import { ScenePart, TimePart, useLive } from './parts';
import { StageSentence, type PartProps } from './StageSentence';
import { TargetList } from './TargetList';

/** What comes after another stage is given this long, so that it is seen on the timeline. */
const ADDED_MS = 1000;

interface StageProps extends PartProps {
  found: readonly LaunchFinding[];
}

/** Moves a stage up, or removes it. */
function StageWays({ index, count }: { index: number; count: number }) {
  const store = useWorkbenchStore();
  const up = () =>
    editLaunch(store, (l) => {
      l.stages.splice(index - 1, 0, ...l.stages.splice(index, 1));
      l.stages = withSystemFirst(l.stages);
    });
  const remove = () =>
    editLaunch(store, (l) => {
      l.stages.splice(index, 1);
      l.stages = withSystemFirst(l.stages);
    });
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
      // A splash that waits for the loading goes on doing so; the system’s own window goes when the app answers. What was the last
      // has a time of its own from now on.
      const waiting = waitingStage(stages);
      if (waiting > 0) stages[waiting]!.waits = true;
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
