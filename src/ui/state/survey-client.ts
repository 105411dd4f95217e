import * as Comlink from 'comlink';
import type { CaseSummary } from '@/core/survey/summary';
import type { Documented, SurveyWorker } from '@/workers/survey.worker';
import { sameJson } from '@/core/scene/patch';
import type { Documents } from '@/core/scene/documents';
import type { Scene } from '@/core/scene/scene';
import { surveyInput } from '@/core/survey/survey';
import { sceneOf, type WorkbenchState, type WorkbenchStore } from './workbench';

/** What the worker is asked about; fonts and pixels are loaded there. */
export function documented(documents: Documents, scene: Scene): Documented {
  const { fonts: _fonts, pixels: _pixels, ...rest } = surveyInput(documents, scene, { fonts: null });
  return rest;
}

/** From one survey to the next there is room for the page to draw what is in view. */
const PAUSE_MS = 60;
const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

/** A summary that says the same stays the same object, so that its cell need not be drawn again. */
function shared(found: readonly CaseSummary[], before: ReadonlyMap<string, CaseSummary>) {
  return new Map(
    found.map((s) => {
      const old = before.get(s.id);
      return [s.id, old && sameJson(old, s) ? old : s];
    }),
  );
}

/**
 * Keeps `summaries` in step with the documents: one worker, one survey at a time, and when it is through only
 * the newest state is surveyed next; what came in between is never looked at.
 * @returns a function that ends it
 */
export function watchSurvey(store: WorkbenchStore): () => void {
  const worker = new Worker(new URL('@/workers/survey.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<SurveyWorker>(worker);
  store.setState({ worker: remote });
  const ready = remote.watch(store.getState().screens);
  let surveyed: WorkbenchState['documents'] | null = null;
  let surveyedScene = '';
  let explained: WorkbenchState['documents'] | null = null;
  let measured: WorkbenchState['documents'] | null = null;
  let running = false;
  let ended = false;

  const run = async () => {
    if (running) return;
    running = true;
    await ready;
    for (;;) {
      const state = store.getState();
      const isNew = state.documents !== surveyed || state.sceneId !== surveyedScene;
      const asksCauses = state.gesture === null && surveyed !== explained;
      const asksPixels = state.view.lens === 'sizes' && state.documents !== measured;
      if (ended || (!isNew && !asksCauses && !asksPixels)) break;
      if (isNew) await surveyScene(state);
      else if (asksCauses) await explainFound();
      else await measurePixels(state);
      await pause();
    }
    running = false;
  };

  const surveyScene = async (state: WorkbenchState) => {
    surveyed = state.documents;
    // What another scene says is not said of this one.
    if (state.sceneId !== surveyedScene)
      store.setState({ found: null, summaries: new Map(), surveyed: null, marks: new Map() });
    surveyedScene = state.sceneId;
    explained = null;
    const scene = sceneOf(state);
    const found = scene
      ? await remote.survey(documented(state.documents, scene), state.documents.project.ratios)
      : { summaries: [], marks: [] };
    if (ended) return;
    store.setState(({ summaries }) => ({
      surveyed: state.documents,
      summaries: shared(found.summaries, summaries),
      marks: new Map(found.marks.map((m) => [m.caseId, m])),
    }));
  };

  /** What is wrong, and because of what; not while something is being dragged. */
  const explainFound = async () => {
    explained = surveyed;
    const found = await remote.found();
    if (!ended && explained === surveyed) store.setState({ found });
  };

  /** Of all scenes, and only while somebody looks at sizes. */
  const measurePixels = async ({ documents }: WorkbenchState) => {
    measured = documents;
    const inputs = Object.values(documents.scenes).map((scene) => documented(documents, scene));
    const needed = await remote.needed(inputs, documents.project.ratios);
    if (!ended) store.setState({ needed });
  };

  void run();
  const unsubscribe = store.subscribe((state, before) => {
    // What was measured for an earlier look at the sizes is not said of what has changed since.
    const opens = state.view.lens === 'sizes' && before.view.lens !== 'sizes';
    if (opens && state.documents !== measured && state.needed) store.setState({ needed: null });
    void run();
  });
  return () => {
    ended = true;
    store.setState({ worker: null });
    unsubscribe();
    remote[Comlink.releaseProxy]();
    worker.terminate();
  };
}
