import * as Comlink from 'comlink';
import type { Remote } from 'comlink';
import { messageOf } from '../api';
import type { CaseSummary } from '@/core/solve/summary';
import type { Documented } from '@/workers/memory';
import type { SurveyWorker } from '@/workers/survey.worker';
import type { Counting, SurveyProgress } from '@/workers/surveying';
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

type Step = (remote: Running['remote']) => Promise<void>;

/** What is measured of one state of the documents, step by step. */
class Steps {
  private surveyed: Documents | null = null;
  private surveyedScene = '';
  private explained: Documents | null = null;
  private measured: Documents | null = null;

  constructor(
    private readonly store: WorkbenchStore,
    private readonly isEnded: () => boolean,
  ) {}

  /** What is to be done next; `null` when all is done. */
  next(): Step | null {
    const state = this.store.getState();
    if (state.documents !== this.surveyed || state.sceneId !== this.surveyedScene)
      return (remote) => this.surveyScene(remote, state);
    if (state.gesture === null && this.surveyed !== this.explained)
      return (remote) => this.explainFound(remote);
    if (needsOf(state.view.lens).pixelsNeeded && state.documents !== this.measured)
      return (remote) => this.measurePixels(remote, state);
    return null;
  }

  /** Everything is asked again. */
  forget(): void {
    this.surveyed = null;
    this.explained = null;
    this.measured = null;
  }

  hasMeasured = (documents: Documents): boolean => documents === this.measured;

  private async surveyScene(remote: Running['remote'], state: WorkbenchState): Promise<void> {
    const { store } = this;
    // What another scene says is not said of this one.
    if (state.sceneId !== this.surveyedScene)
      store.setState({
        found: null,
        summaries: new Map(),
        rested: new Map(),
        surveyed: null,
        explained: null,
        marks: new Map(),
      });
    this.surveyedScene = state.sceneId;
    this.explained = null;
    const scene = sceneOf(state);
    const found = scene
      ? await remote.survey(documented(state.documents, scene), countingOf(state.documents), this.counter())
      : { summaries: [], marks: [] };
    this.surveyed = state.documents;
    if (this.isEnded()) return;
    store.setState(({ summaries }) => ({
      surveyed: state.documents,
      counting: null,
      ...told(store, shared(found.summaries, summaries)),
      marks: new Map(found.marks.map((m) => [m.caseId, m])),
    }));
  }

  /** Says how far a survey is: whenever files are read, and of the cases while nothing is known of them yet. */
  private counter() {
    const isFirst = this.store.getState().summaries.size === 0;
    return Comlink.proxy((counting: SurveyProgress) => {
      if (!this.isEnded() && (isFirst || counting.doing === 'reading')) this.store.setState({ counting });
    });
  }

  /** What is wrong, and because of what; not while something is being dragged. */
  private async explainFound(remote: Running['remote']): Promise<void> {
    const of = this.surveyed;
    const found = await remote.found();
    this.explained = of;
    if (!this.isEnded() && of === this.surveyed)
      this.store.setState(({ summaries }) => ({ found, explained: of, rested: summaries }));
  }

  /** Of all scenes, and only while somebody looks at sizes. */
  private async measurePixels(remote: Running['remote'], { documents }: WorkbenchState): Promise<void> {
    const inputs = scenesInOrder(documents).map((scene) => documented(documents, scene));
    const needed = await remote.needed(inputs, countingOf(documents));
    this.measured = documents;
    if (!this.isEnded()) this.store.setState({ needed, neededOf: documents });
  }
}

/** One worker after another, and what each of them is asked. */
class Surveying {
  readonly steps: Steps;
  private ended = false;
  private running = false;
  private current: (Running & { ready: Promise<void> }) | null = null;
  private faults = 0;
  /** documents that could not be measured, however often it was tried */
  private hopeless: Documents | null = null;

  constructor(
    private readonly store: WorkbenchStore,
    private readonly start: () => Running,
  ) {
    this.steps = new Steps(store, () => this.ended);
    this.begin();
    this.go();
  }

  readonly go = (): void => void this.run();

  /** Other screens: everything is asked again, once the worker knows them. */
  watchAgain(screens: Screen[]): void {
    this.steps.forget();
    if (!this.current) return;
    const { remote, ready } = this.current;
    this.current.ready = ready.then(() => remote.watch(screens));
  }

  end(): void {
    this.ended = true;
    this.stop();
  }

  private begin() {
    const worker = this.start();
    const ready = Promise.resolve(worker.remote.watch(this.store.getState().screens));
    const mine = { ...worker, ready };
    this.current = mine;
    this.store.setState({ worker: worker.remote });
    // It is noticed at once, also while nobody waits for an answer.
    worker.died.catch((error: unknown) => {
      if (this.ended || this.current !== mine) return;
      this.failed(error);
      this.go();
    });
    return mine;
  }

  private stop(): void {
    this.current?.end();
    this.current = null;
    this.store.setState({ worker: null });
  }

  private failed(error: unknown): void {
    this.stop();
    this.steps.forget();
    this.faults++;
    const isHopeless = this.faults >= MOST_FAULTS;
    if (isHopeless) this.hopeless = this.store.getState().documents;
    const goesOn = isHopeless
      ? 'It is tried again with the next change, or when the page is loaded anew.'
      : 'It starts anew.';
    const message = `Measuring was interrupted: ${messageOf(error)} ${goesOn}`;
    this.store.setState({ counting: null, message });
  }

  private async step(todo: Step): Promise<void> {
    const used = this.current ?? this.begin();
    const { remote, died } = used;
    try {
      await Promise.race([used.ready.then(() => todo(remote)), died]);
      this.faults = 0;
    } catch (error) {
      if (!this.ended && this.current === used) this.failed(error);
    }
  }

  private async run(): Promise<void> {
    if (this.running) return;
    this.running = true;
    try {
      for (;;) {
        const { documents } = this.store.getState();
        const todo = documents === this.hopeless ? null : this.steps.next();
        if (this.ended || !todo) break;
        if (this.hopeless) this.faults = 0;
        this.hopeless = null;
        await this.step(todo);
        await pause(this.store);
      }
    } finally {
      this.running = false;
    }
  }
}

/**
 * Keeps `summaries` in step with the documents: one worker, one survey at a time, and when it is through only
 * the newest state is surveyed next; what came in between is never looked at. Where that fails it is said, and a new worker
 * goes on; what fails again and again is left until something is changed.
 * @returns a function that ends it
 */
export function watchSurvey(store: WorkbenchStore, start: () => Running = startWorker): () => void {
  const surveying = new Surveying(store, start);
  const { steps } = surveying;
  const unsubscribe = store.subscribe((state, before) => {
    // What was measured for an earlier look at the sizes is not said of what has changed since.
    const opens = needsOf(state.view.lens).pixelsNeeded && state.view.lens !== before.view.lens;
    if (opens && !steps.hasMeasured(state.documents) && state.needed) store.setState({ needed: null });
    if (state.screens !== before.screens) surveying.watchAgain(state.screens);
    surveying.go();
  });
  return () => {
    unsubscribe();
    surveying.end();
  };
}
