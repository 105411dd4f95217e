'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import { sayShare } from '@/core/words/numbers';
import { coverageOf, isIn, type Launch, type Target } from '@/core/project/launch';
import { SYSTEM_WORDS } from '@/core/launch/system';
import { newId } from '@/workers/new-id';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit } from '../state/edit';
import { editLaunch } from '../state/launched';
import { ListPart, useLive } from './parts';
import { TargetScreens } from './TargetScreens';

const WINDOWS = (['flat', 'icon', 'layout'] as const).map((value) => ({ value, ...SYSTEM_WORDS[value] }));

type Change = (recipe: (t: Target) => void) => void;

/** How much is left around the icon of a first window. */
function IconRoom({ target, index }: { target: Target; index: number }) {
  const store = useWorkbenchStore();
  const live = useLive();
  const padding = target.padding ?? 0;
  return (
    <>
      , its icon with{' '}
      <EditorPopover
        label={`Room around the icon of ${target.name}`}
        button={{ bsPrefix: 'part', children: `${sayShare(padding)} of room` }}
      >
        {() => (
          <NumberField
            label="Room along each side"
            unit="%"
            min={0}
            max={45}
            value={padding * 100}
            onChange={(v) => live((l) => (l.targets[index]!.padding = v / 100))}
            onCommit={() => commit(store)}
            autoFocus
          />
        )}
      </EditorPopover>
    </>
  );
}

/** What the first window of a target is, and which scene it shows. */
function FirstWindow({ target, index, launch, change }: LineProps & { change: Change }) {
  const scenes = useWorkbench((s) => s.documents.scenes);
  const first = launch.stages[0]!;
  const options = [
    { value: '', label: `${scenes[first.scene]?.name ?? ''}, as in the first stage` },
    ...Object.values(scenes).map((s) => ({ value: s.id, label: s.name })),
  ];
  return (
    <>
      there is{' '}
      <ListPart
        label={`First window of ${target.name}`}
        text={SYSTEM_WORDS[target.system].label}
        options={WINDOWS}
        value={target.system}
        onChoose={(system) => change((t) => (t.system = system))}
      />{' '}
      with{' '}
      <ListPart
        label={`Scene of the first window of ${target.name}`}
        text={scenes[target.scene ?? first.scene]?.name ?? ''}
        options={options}
        value={target.scene ?? ''}
        onChoose={(id) =>
          change((t) => {
            if (id) t.scene = id;
            else delete t.scene;
          })
        }
      />
      {target.system === 'icon' && <IconRoom {...{ target, index }} />}.
    </>
  );
}

/** What is done with a target as a whole. */
function TargetTools({ target, index, change }: { target: Target; index: number; change: Change }) {
  const store = useWorkbenchStore();
  const { name, off } = target;
  const asTheSystem = () =>
    change((t) => {
      delete t.scene;
      delete t.padding;
      delete t.off;
    });
  return (
    <>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`${name}: ${off ? 'switch its first window on' : 'switch its first window off'}`}
        onClick={() => change((t) => (t.off = !t.off))}
      >
        {off ? 'switch on' : 'switch off'}
      </Button>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`Back to the system’s default: ${name}`}
        disabled={!off && !target.scene && !target.padding}
        onClick={asTheSystem}
      >
        as the system does
      </Button>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`Remove the target ${name}`}
        onClick={() => editLaunch(store, (l) => void l.targets.splice(index, 1))}
      >
        remove
      </Button>
    </>
  );
}

interface LineProps {
  target: Target;
  index: number;
  launch: Launch;
}

function TargetLine({ target, index, launch }: LineProps) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const count = screens.filter((s) => isIn(target, s)).length;
  const change: Change = (recipe) => editLaunch(store, (l) => recipe(l.targets[index]!));
  return (
    <section className="layer" aria-label={`Target ${target.name}`}>
      <div className="sentence">
        On{' '}
        <EditorPopover
          label={`Screens of ${target.name}`}
          button={{ bsPrefix: 'part', children: target.name }}
        >
          {() => <TargetScreens target={target} index={index} />}
        </EditorPopover>{' '}
        <span className="quiet figures">
          {count} {count === 1 ? 'screen' : 'screens'}
          {target.versions && `, ${target.versions}`}
        </span>{' '}
        {target.off ? (
          'nothing is shown until the app draws.'
        ) : (
          <FirstWindow {...{ target, index, launch, change }} />
        )}{' '}
        <TargetTools {...{ target, index, change }} />
      </div>
    </section>
  );
}

/** Which screens show a first window of which kind; those that none or several targets claim are named. */
export function TargetList({ launch }: { launch: Launch }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const { claimedTwice, unclaimed } = coverageOf(launch, screens);
  const add = () =>
    edit(store, stepOf('launch.add-target'), ({ project }) => {
      project.launches?.[0]?.targets.push({
        id: newId(),
        name: `Target ${launch.targets.length + 1}`,
        families: [],
        kinds: [],
        ids: [],
        system: 'flat',
      });
    });
  const some = (list: readonly { label: string }[]) =>
    `${list
      .slice(0, 3)
      .map((s) => s.label)
      .join('; ')}${list.length > 3 ? ` and ${list.length - 3} more` : ''}`;
  return (
    <>
      <h2>
        First windows
        <span>
          <Button variant="quiet" size="sm" onClick={add}>
            add
          </Button>
        </span>
      </h2>
      {launch.targets.map((target, index) => (
        <TargetLine key={target.id} {...{ target, index, launch }} />
      ))}
      {claimedTwice.length > 0 && (
        <p className="problem" role="alert">
          Several first windows claim {claimedTwice.length} screens, of which the first is taken:{' '}
          {some(claimedTwice.map((c) => c.screen))}. Narrow one of them.
        </p>
      )}
      {unclaimed.length > 0 && (
        <p className="quiet">
          {unclaimed.length} screens show the first stage as it stands above: {some(unclaimed)}.
        </p>
      )}
    </>
  );
}
