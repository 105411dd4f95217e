import * as Comlink from 'comlink';
import type { Remote } from 'comlink';
import { messageOf } from '../api';
import type { CaseSummary } from '@/core/solve/summary';
import type { Documented } from '@/workers/memory';
import type { SurveyWorker } from '@/workers/survey.worker';
import type { Counting } from '@/workers/surveying';
import { sameJson } from '@/core/patch/patch';
import { scenesInOrder, type Documents } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import type { Screen } from '@/core/screens/screen';
import { surveyInput } from '@/core/survey/survey';
import { needsOf } from './lenses';
import { sceneOf, type WorkbenchState, type WorkbenchStore } from './workbench';

/** What the worker is asked about; fonts and pixels are loaded there. */
export function documented(documents: Documents, scene: Scene): Documented {
  const { fonts: _fonts, pixels: _pixels, ...rest } = surveyInput(documents, scene, { fonts: null });
  return rest;
}

/** What of the documents says which cases count; as little as that goes to the worker. */
const countingOf = ({ project: { ratios, iconSets } }: Documents): Counting => ({ ratios, iconSets });

/** From one survey to the next there is room for the page to draw what is in view; more of it while a gesture goes on. */
const PAUSE_MS = { atRest: 60, inGesture: 200 } as const;
/** Ends early when the gesture does. */
const pause = (store: WorkbenchStore) =>
  new Promise<void>((resolve) => {
    const isInGesture = () => store.getState().gesture !== null;
    const end = () => {
      clearTimeout(clock);
      unsubscribe();
      resolve();
    };
    const clock = setTimeout(end, isInGesture() ? PAUSE_MS.inGesture : PAUSE_MS.atRest);
    const unsubscribe = store.subscribe((now, before) => {
      if (before.gesture !== null && now.gesture === null) end();
    });
  });

/** A summary that says the same stays the same object, so that its cell need not be drawn again. */
function shared(found: readonly CaseSummary[], before: ReadonlyMap<string, CaseSummary>) {
  return new Map(
    found.map((s) => {
      const old = before.get(s.id);
      return [s.id, old && sameJson(old, s) ? old : s];
    }),
  );
}

/** What is said of all cases; of those out of view only once a gesture has ended. */
const told = (store: WorkbenchStore, summaries: ReadonlyMap<string, CaseSummary>) =>
  store.getState().gesture === null ? { summaries, rested: summaries } : { summaries };

/** A worker that surveys, until it ends. */
interface Running {
  remote: Remote<SurveyWorker>;
  /** rejects when the worker itself dies: its answers would never come */
  died: Promise<never>;
  end: () => void;
}

function startWorker(): Running {
  const worker = new Worker(new URL('@/workers/survey.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<SurveyWorker>(worker);
  const died = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (e) => reject(new Error(e.message || 'The worker has ended.')));
  });
  const end = () => {
    remote[Comlink.releaseProxy]();
    worker.terminate();
  };
  return { remote, died, end };
}

/** What fails so often one after another with the same documents will do so again. */
const MOST_FAULTS = 3;

/** What is measured of one state of the documents, step by step. */
function createSteps(store: WorkbenchStore, isEnded: () => boolean) {
  let surveyed: WorkbenchState['documents'] | null = null;
  let surveyedScene = '';
  let explained: WorkbenchState['documents'] | null = null;
  let measured: WorkbenchState['documents'] | null = null;

  const surveyScene = async (remote: Running['remote'], state: WorkbenchState) => {
    // What another scene says is not said of this one.
    if (state.sceneId !== surveyedScene)
      store.setState({
        found: null,
        summaries: new Map(),
        rested: new Map(),
        surveyed: null,
        marks: new Map(),
      });
    surveyedScene = state.sceneId;
    explained = null;
    const scene = sceneOf(state);
    const isFirst = store.getState().summaries.size === 0;
    const onCount = isFirst
      ? Comlink.proxy((counted: number) => {
          if (!isEnded()) store.setState({ counting: counted });
        })
      : undefined;
    const found = scene
      ? await remote.survey(documented(state.documents, scene), countingOf(state.documents), onCount)
      : { summaries: [], marks: [] };
    surveyed = state.documents;
    if (isEnded()) return;
    store.setState(({ summaries }) => ({
      surveyed: state.documents,
      counting: null,
      ...told(store, shared(found.summaries, summaries)),
      marks: new Map(found.marks.map((m) => [m.caseId, m])),
    }));
  };

  /** What is wrong, and because of what; not while something is being dragged. */
  const explainFound = async (remote: Running['remote']) => {
    const of = surveyed;
    const found = await remote.found();
    explained = of;
    if (!isEnded() && of === surveyed) store.setState(({ summaries }) => ({ found, rested: summaries }));
  };

  /** Of all scenes, and only while somebody looks at sizes. */
  const measurePixels = async (remote: Running['remote'], { documents }: WorkbenchState) => {
    const inputs = scenesInOrder(documents).map((scene) => documented(documents, scene));
    const needed = await remote.needed(inputs, countingOf(documents));
    measured = documents;
    if (!isEnded()) store.setState({ needed });
  };

  return {
    /** what is to be done next; `null` when all is done */
    next(): ((remote: Running['remote']) => Promise<void>) | null {
      const state = store.getState();
      if (state.documents !== surveyed || state.sceneId !== surveyedScene)
        return (remote) => surveyScene(remote, state);
      if (state.gesture === null && surveyed !== explained) return explainFound;
      if (needsOf(state.view.lens).pixelsNeeded && state.documents !== measured)
        return (remote) => measurePixels(remote, state);
      return null;
    },
    /** everything is asked again */
    forget() {
      surveyed = null;
      explained = null;
      measured = null;
    },
    hasMeasured: (documents: WorkbenchState['documents']) => documents === measured,
  };
}

/**
 * Keeps `summaries` in step with the documents: one worker, one survey at a time, and when it is through only
 * the newest state is surveyed next; what came in between is never looked at. Where that fails it is said, and a new worker
 * goes on; what fails again and again is left until something is changed.
 * @returns a function that ends it
 */
export function watchSurvey(store: WorkbenchStore, start: () => Running = startWorker): () => void {
  let ended = false;
  let running = false;
  let current: (Running & { ready: Promise<void> }) | null = null;
  let faults = 0;
  /** documents that could not be measured, however often it was tried */
  let hopeless: WorkbenchState['documents'] | null = null;
  const steps = createSteps(store, () => ended);

  const begin = () => {
    const worker = start();
    const mine = { ...worker, ready: Promise.resolve(worker.remote.watch(store.getState().screens)) };
    current = mine;
    store.setState({ worker: worker.remote });
    // It is noticed at once, also while nobody waits for an answer.
    worker.died.catch((error: unknown) => {
      if (ended || current !== mine) return;
      failed(error);
      void run();
    });
    return mine;
  };
  /** Other screens: everything is asked again, once the worker knows them. */
  const watchAgain = (screens: Screen[]) => {
    steps.forget();
    if (!current) return;
    const { remote, ready } = current;
    current.ready = ready.then(() => remote.watch(screens));
  };
  const stop = () => {
    current?.end();
    current = null;
    store.setState({ worker: null });
  };

  const failed = (error: unknown) => {
    stop();
    steps.forget();
    faults++;
    const isHopeless = faults >= MOST_FAULTS;
    if (isHopeless) hopeless = store.getState().documents;
    const goesOn = isHopeless
      ? 'It is tried again with the next change, or when the page is loaded anew.'
      : 'It starts anew.';
    store.setState({ counting: null, message: `Measuring was interrupted: ${messageOf(error)} ${goesOn}` });
  };

  const step = async (todo: (remote: Running['remote']) => Promise<void>) => {
    const used = current ?? begin();
    const { remote, died } = used;
    try {
      await Promise.race([used.ready.then(() => todo(remote)), died]);
      faults = 0;
    } catch (error) {
      if (!ended && current === used) failed(error);
    }
  };

  const run = async () => {
    if (running) return;
    running = true;
    try {
      for (;;) {
        const { documents } = store.getState();
        const todo = documents === hopeless ? null : steps.next();
        if (ended || !todo) break;
        if (hopeless) faults = 0;
        hopeless = null;
        await step(todo);
        await pause(store);
      }
    } finally {
      running = false;
    }
  };

  begin();
  void run();
  const unsubscribe = store.subscribe((state, before) => {
    // What was measured for an earlier look at the sizes is not said of what has changed since.
    const opens = needsOf(state.view.lens).pixelsNeeded && state.view.lens !== before.view.lens;
    if (opens && !steps.hasMeasured(state.documents) && state.needed) store.setState({ needed: null });
    if (state.screens !== before.screens) watchAgain(state.screens);
    void run();
  });
  return () => {
    ended = true;
    unsubscribe();
    stop();
  };
}
