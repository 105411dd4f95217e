'use client';
import { useCallback, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { CHECKLIST } from '@/core/launch/checklist';
import type { LaunchFinding } from '@/core/launch/findings';
import type { LaunchAdvice } from '@/core/launch/advice';
import { newLaunch } from '@/core/launch/new';
import { versionsIn } from '@/core/project/launch';
import { applyPatch } from '@/core/patch/patch';
import { findCase } from '@/core/screens/cases';
import { useAsked, type Asking } from '../state/ask';
import { useTelling } from '../state/telling';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { Choices } from '../parts/Choices';
import { ClockProvider, createClock } from './clock';
import { Downloads } from './Downloads';
import { Filmstrip, momentsFor, PlayGrid } from './Filmstrip';
import { HandOver } from './HandOver';
import { launchOf, useFilms, type Starting } from './launched';
import { LaunchFindings } from './LaunchFindings';
import { LaunchLimits } from './LaunchLimits';
import { StageColumn } from './StageColumn';
import { withFilesMade } from './make-files';
import { messageOf } from '../api';
import { Controls, TimeBar } from './Timeline';

const SHOWS = [
  { value: 'play', label: 'screens' },
  { value: 'strip', label: 'filmstrip' },
  { value: 'limits', label: 'limits' },
  { value: 'checks', label: 'on a real device' },
] as const;
type Show = (typeof SHOWS)[number]['value'];

/** Screens that are played. */
const twelve = () => 12;

/** A launch has to be described before it can be played. */
function NoLaunch() {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const begin = () =>
    edit(store, ({ project }) => {
      project.launches = [newLaunch(Object.values(scenes), () => crypto.randomUUID())];
    });
  return (
    <main className="findings" id="main">
      <p>
        Before an app can draw, the system shows a window of its own; then comes the splash, then the first
        screen. Say which scene stands for which, and Coulee plays it on every screen and says where it
        flashes, jumps or waits.
      </p>
      <p>
        <Button onClick={begin}>Describe the launch</Button>
      </p>
    </main>
  );
}

/** What to look at on a real device. */
const Checks = () => (
  <ol className="launch-checks">
    {CHECKLIST.map((c) => (
      <li key={c.id}>
        <b>{c.what}</b> <span className="quiet">{c.why}</span>
      </li>
    ))}
  </ol>
);

function Open() {
  const store = useWorkbenchStore();
  const now = useWorkbench((s) => s.documents);
  const screens = useWorkbench((s) => s.screens);
  const caseId = useWorkbench((s) => s.view.case);
  const appearance = useWorkbench((s) => s.view.appearance);
  const [trial, setTrial] = useState<{ mend: LaunchAdvice; of: typeof now } | null>(null);
  const [wanted, setStarting] = useState<Starting>({ start: 'cold', versions: '' });
  const [handOver, setHandOver] = useState(0);
  const [show, setShow] = useState<Show>('play');
  // A mend that is looked at is gone once anything else was changed.
  const tried = trial?.of === now ? trial.mend : null;
  const documents = useMemo(() => (tried ? applyPatch(now, tried.patch) : now), [now, tried]);
  const launch = launchOf(documents)!;
  const versions = versionsIn(launch);
  // Words that nobody uses any more stand for no version.
  const starting = versions.includes(wanted.versions) ? wanted : { ...wanted, versions: '' };
  const cases = useTelling(twelve);
  const chosen = useMemo(() => {
    const id = caseId?.replace(/(light|dark)$/, appearance);
    const c = id ? findCase(id, screens) : null;
    return c ? [c] : cases.slice(0, 1);
  }, [caseId, appearance, screens, cases]);
  const films = useFilms(documents, cases, starting);
  const [own] = useFilms(documents, chosen, starting);
  const asking = useCallback<Asking<LaunchFinding[]>>(
    (worker, asked) => worker.launchFindings(asked, launchOf(asked)?.id ?? ''),
    [],
  );
  const findings = useAsked(asking);
  const take = async ({ patch, make }: LaunchAdvice) => {
    try {
      const made = await withFilesMade(now.project.id, patch, make ?? []);
      const after = applyPatch(store.getState().documents, made);
      edit(store, (d) => {
        Object.assign(d, after);
      });
      setTrial(null);
    } catch (error) {
      store.setState({ message: messageOf(error) });
    }
  };
  const showWorst = ({ stage, worst }: LaunchFinding) => {
    const { target } = worst;
    if (target !== undefined) {
      const of = launch.targets.find((t) => t.id === target)?.versions ?? '';
      setStarting({ ...starting, versions: of });
    }
    setHandOver(stage);
    const c = findCase(worst.caseId, screens);
    store.setState(({ view }) => ({
      view: { ...view, case: worst.caseId, appearance: c?.appearance ?? view.appearance },
    }));
  };
  return (
    <div className="columns">
      <StageColumn launch={launch} found={findings ?? []} />
      <main className="middle launch-middle" id="main">
        {tried && (
          <p className="launch-trial" role="status">
            Shown with: <b>{tried.label}</b>{' '}
            <Button variant="quiet" size="sm" onClick={() => void take(tried)}>
              apply
            </Button>
            <Button variant="quiet" size="sm" onClick={() => setTrial(null)}>
              leave it
            </Button>
          </p>
        )}
        <Controls {...{ starting, versions }} onChange={setStarting} />
        {own && (
          <TimeBar
            film={own}
            loadingMs={starting.start === 'cold' ? launch.loadingMs : launch.warm.loadingMs}
          />
        )}
        <Choices label="Launch" hideLabel options={SHOWS} value={show} onChoose={setShow} />
        {show === 'play' && <PlayGrid films={films} />}
        {show === 'strip' && own && <Filmstrip films={films.slice(0, 6)} moments={momentsFor(own)} />}
        {show === 'limits' && <LaunchLimits launch={launch} />}
        {show === 'checks' && <Checks />}
        {own && <Downloads c={own.c} starting={starting} />}
      </main>
      <aside className="close-up" aria-label="Close-up">
        {own && <HandOver film={own} at={handOver} onChoose={setHandOver} />}
        <LaunchFindings
          findings={findings}
          trial={tried}
          onOpen={showWorst}
          onTry={(mend) => setTrial(mend && { mend, of: now })}
          onTake={(mend) => void take(mend)}
        />
      </aside>
    </div>
  );
}

/** From the tap to the first screen: stages, films of many screens, and what goes wrong between them. */
export function LaunchLens() {
  const has = useWorkbench((s) => launchOf(s.documents) !== undefined);
  const [clock] = useState(createClock);
  if (!has) return <NoLaunch />;
  return (
    <ClockProvider value={clock}>
      <Open />
    </ClockProvider>
  );
}
