'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo, useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import type { LaunchFinding } from '@/core/launch/findings';
import type { LaunchAdvice } from '@/core/launch/advice';
import { newLaunch } from '@/core/launch/new';
import type { Documents } from '@/core/project/documents';
import { versionsIn, type Launch } from '@/core/project/launch';
import { applyPatch } from '@/core/patch/patch';
import { findCase } from '@/core/screens/cases';
import { newId } from '@/workers/new-id';
import { useAnswer, type Asking } from '../state/ask';
import { ChosenScreens } from '../parts/ChosenScreens';
import { Columns } from '../parts/Columns';
import { Older } from '../parts/Older';
import { CloseDrawer, DrawerWays } from '../parts/DrawerWays';
import { useLook } from '../state/look';
import { SHOWS, type View } from '../state/view';
import { useTelling } from '../state/telling';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit, editBy } from '../state/edit';
import { Choices } from '../parts/Choices';
import { Clock, ClockProvider } from './clock';
import { Downloads } from './Downloads';
import { Filmstrip, momentsFor, PlayGrid } from './Filmstrip';
import { HandOver } from './HandOver';
import type { Film } from '../state/launched';
import { launchOf, useFilms, type Starting } from '../state/launched';
import { LaunchFindings } from './LaunchFindings';
import { LaunchLimits } from './LaunchLimits';
import { StageColumn } from './StageColumn';
import { withFilesMade } from './make-files';
import { messageOf } from '../api';
import { DeviceChecks } from '../real-screen/DeviceChecks';
import { Controls, TimeBar } from './Timeline';

const SHOW_WORDS: Record<View['show'], string> = {
  play: 'screens',
  strip: 'filmstrip',
  limits: 'limits',
  checks: 'on a real device',
};
const SHOWN = SHOWS.map((value) => ({ value, label: SHOW_WORDS[value] }));

/** Screens that are played. */
const MOST_SCREENS = 12;
const mostScreens = () => MOST_SCREENS;

/** A launch has to be described before it can be played. */
function NoLaunch() {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const begin = () =>
    edit(store, stepOf('launch.describe'), ({ project }) => {
      project.launches = [newLaunch(Object.values(scenes), newId)];
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

interface FilmsProps {
  show: View['show'];
  films: readonly Film[];
  /** that of the chosen case */
  own: Film | undefined;
}

/** The films of the screens that are compared, all at once or picture by picture. */
function Films({ show, films, own }: FilmsProps) {
  if (show !== 'play' && show !== 'strip') return null;
  return (
    <>
      <ChosenScreens most={MOST_SCREENS} />
      {show === 'play' && <PlayGrid films={films} />}
      {show === 'strip' && own && <Filmstrip films={films.slice(0, 6)} moments={momentsFor(own)} />}
    </>
  );
}

/** A mend that is looked at before it is taken: what it would make of the documents, and what takes it. */
function useTrial() {
  const store = useWorkbenchStore();
  const now = useWorkbench((s) => s.documents);
  const [trial, setTrial] = useState<{ mend: LaunchAdvice; of: typeof now } | null>(null);
  // A mend that is looked at is gone once anything else was changed.
  const tried = trial?.of === now ? trial.mend : null;
  const documents = useMemo(() => (tried ? applyPatch(now, tried.patch) : now), [now, tried]);
  const attempt = (mend: LaunchAdvice | null) => setTrial(mend && { mend, of: now });
  const take = async ({ label, patch, make }: LaunchAdvice) => {
    try {
      const made = await withFilesMade(now.project.id, patch, make ?? []);
      editBy(store, stepOf('finding.fix', label), made);
      setTrial(null);
    } catch (error) {
      store.setState({ message: messageOf(error) });
    }
  };
  return { tried, documents, attempt, take: (mend: LaunchAdvice) => void take(mend) };
}

/** Says that a mend is looked at, and ends that. */
function TrialLine({
  tried,
  attempt,
  take,
}: Pick<ReturnType<typeof useTrial>, 'tried' | 'attempt' | 'take'>) {
  if (!tried) return null;
  return (
    <p className="launch-trial" role="status">
      Shown with: <b>{tried.label}</b>{' '}
      <Button variant="primary" size="sm" onClick={() => take(tried)}>
        apply
      </Button>
      <Button variant="quiet" size="sm" onClick={() => attempt(null)}>
        close
      </Button>
    </p>
  );
}

/** The films of the screens that are compared, and that of the chosen case. */
function useShownFilms(documents: Documents, starting: Starting) {
  const screens = useWorkbench((s) => s.screens);
  const caseId = useWorkbench((s) => s.view.case);
  const appearance = useWorkbench((s) => s.view.appearance);
  const cases = useTelling(mostScreens, 'screens');
  const chosen = useMemo(() => {
    const id = caseId?.replace(/(light|dark)$/, appearance);
    const c = id ? findCase(id, screens) : null;
    return c ? [c] : cases.slice(0, 1);
  }, [caseId, appearance, screens, cases]);
  const films = useFilms(documents, cases, starting);
  const [own] = useFilms(documents, chosen, starting);
  return { films, own };
}

const askFindings: Asking<LaunchFinding[]> = (worker, asked) =>
  worker.launchFindings(asked, launchOf(asked)?.id ?? '');

interface MiddleProps extends ReturnType<typeof useShownFilms> {
  launch: Launch;
  starting: Starting;
  onStart: (starting: Starting) => void;
  children: ReactNode;
}

/** How the launch is played, and what of it is shown. */
function Middle({ launch, starting, onStart, films, own, children }: MiddleProps) {
  const show = useWorkbench((s) => s.view.show);
  const look = useLook();
  const { loadingMs } = starting.start === 'cold' ? launch : launch.warm;
  return (
    <main className="middle launch-middle" id="main">
      <DrawerWays rules="stages" closeUp="what goes wrong" />
      {children}
      <Controls {...{ starting, versions: versionsIn(launch) }} onChange={onStart} />
      {own && <TimeBar film={own} loadingMs={loadingMs} />}
      <Choices
        label="Launch"
        hideLabel
        options={SHOWN}
        value={show}
        onChoose={(next) => look({ show: next })}
      />
      <Films {...{ show, films, own }} />
      {show === 'limits' && <LaunchLimits launch={launch} />}
      {show === 'checks' && <DeviceChecks />}
      {own && <Downloads c={own.c} starting={starting} />}
    </main>
  );
}

function Open() {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const [wanted, setStarting] = useState<Starting>({ start: 'cold', versions: '' });
  const [handOver, setHandOver] = useState(0);
  const { documents, tried, attempt, take } = useTrial();
  const launch = launchOf(documents)!;
  // Words that nobody uses any more stand for no version.
  const starting = versionsIn(launch).includes(wanted.versions) ? wanted : { ...wanted, versions: '' };
  const { films, own } = useShownFilms(documents, starting);
  const { found: findings, isOlder } = useAnswer(askFindings);
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
    <Columns>
      <StageColumn launch={launch} found={findings ?? []} />
      <Middle {...{ launch, starting, films, own }} onStart={setStarting}>
        <TrialLine {...{ tried, attempt, take }} />
      </Middle>
      <aside className="close-up" aria-label="Close-up">
        <CloseDrawer />
        {own && <HandOver film={own} at={handOver} onChoose={setHandOver} />}
        <Older when={isOlder}>
          <LaunchFindings
            {...{ findings, isOlder }}
            trial={tried}
            onOpen={showWorst}
            onTry={attempt}
            onTake={take}
          />
        </Older>
      </aside>
    </Columns>
  );
}

/** From the tap to the first screen: stages, films of many screens, and what goes wrong between them. */
export function LaunchLens() {
  const has = useWorkbench((s) => launchOf(s.documents) !== undefined);
  const [clock] = useState(() => new Clock());
  if (!has) return <NoLaunch />;
  return (
    <ClockProvider value={clock}>
      <Open />
    </ClockProvider>
  );
}
