import * as Comlink from 'comlink';
import type { CaseSummary } from '@/core/survey/summary';
import type { SurveyWorker } from '@/workers/survey.worker';
import { surveyInput } from '@/core/survey/survey';
import { sceneOf, type WorkbenchState, type WorkbenchStore } from './workbench';

/**
 * Keeps `summaries` in step with the documents: one worker, one survey at a time, and when it is through only
 * the newest state is surveyed next; what came in between is never looked at.
 * @returns a function that ends it
 */
export function watchSurvey(store: WorkbenchStore): () => void {
  const worker = new Worker(new URL('@/workers/survey.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<SurveyWorker>(worker);
  const ready = remote.watch(store.getState().screens);
  let surveyed: WorkbenchState['documents'] | null = null;
  let surveyedScene = '';
  let running = false;
  let ended = false;

  const run = async () => {
    if (running) return;
    running = true;
    await ready;
    for (;;) {
      const state = store.getState();
      if (ended || (state.documents === surveyed && state.sceneId === surveyedScene)) break;
      surveyed = state.documents;
      surveyedScene = state.sceneId;
      const scene = sceneOf(state);
      const found = scene ? await remote.survey(surveyInput(state.documents, scene, null)) : [];
      if (!ended) store.setState({ summaries: new Map(found.map((s: CaseSummary) => [s.id, s])) });
    }
    running = false;
  };

  void run();
  const unsubscribe = store.subscribe(() => void run());
  return () => {
    ended = true;
    unsubscribe();
    remote[Comlink.releaseProxy]();
    worker.terminate();
  };
}
