import { changeBetween } from '@/core/scene/change';
import type { Documents } from '@/core/scene/documents';
import { applyPatch, diff, overlap, whereFits } from '@/core/scene/patch';
import { messageOf, request, RequestProblem } from '../api';
import { committedOf, queueGesture } from './edit';
import { keepOver, takeUp } from './kept-over';
import type { WorkbenchStore } from './workbench';

const RETRY_MS = 3000;
/** A value that rests this long is written, while its editor is still open. */
const REST_MS = 500;

/** Lays the changes that are still to be saved on top of somebody else’s state, or says that both touch the same place. */
function meet(store: WorkbenchStore, theirs: Documents, revision: number): void {
  const { stored, documents, gesture } = store.getState();
  const committed = committedOf(store.getState());
  const offer = () => store.setState({ conflict: { theirs, revision }, saving: 'conflict' });
  const foreign = diff(stored, theirs);
  // What was done and taken back again is nothing: only what is different in the end meets theirs.
  const mine = diff(stored, documents);
  if (overlap(foreign, mine)) return offer();
  const merged = whereFits(theirs, mine);
  const unsaved = whereFits(theirs, diff(stored, committed));
  if (!merged || !unsaved) return offer();
  const change = changeBetween(crypto.randomUUID(), theirs, unsaved);
  store.setState({
    stored: theirs,
    revision,
    documents: merged,
    gesture: gesture && unsaved,
    queued: null,
    pending: change ? [change] : [],
    message: 'Changes from elsewhere were taken in.',
  });
}

export type Choice = 'mine' | 'theirs' | 'both';

/** Ends a conflict: for each document ours, theirs, or theirs with ours beside it as a copy. */
export function resolveConflict(store: WorkbenchStore, choices: Record<string, Choice>): void {
  const { conflict, documents: mine } = store.getState();
  if (!conflict) return;
  const { theirs, revision } = conflict;
  const scenes = { ...theirs.scenes };
  let project = choices.project === 'mine' ? mine.project : theirs.project;
  for (const [id, scene] of Object.entries(mine.scenes)) {
    if (choices[id] === 'mine') scenes[id] = scene;
    if (choices[id] !== 'both') continue;
    const copy = { ...scene, id: crypto.randomUUID(), name: `${scene.name.slice(0, 110)} (mine)` };
    scenes[copy.id] = copy;
    project = { ...project, scenes: [...project.scenes, copy.id] };
  }
  project = { ...project, scenes: project.scenes.filter((id) => scenes[id]) };
  const documents: Documents = { project, scenes };
  const change = changeBetween(crypto.randomUUID(), theirs, documents);
  store.setState({
    stored: theirs,
    revision,
    documents,
    gesture: null,
    queued: null,
    pending: change ? [change] : [],
    conflict: null,
    saving: 'saved',
    message: null,
  });
}

/**
 * Takes a change that the server refuses out again. What came after it stays where it fits without it; otherwise all of it is
 * offered as it was.
 */
function giveUp(store: WorkbenchStore, why: string): void {
  const { stored, pending, documents, undo } = store.getState();
  const [refused, ...later] = pending;
  const kept = later.reduce<Documents | null>((d, change) => d && whereFits(d, change.patch), stored);
  const rescued = later.length > 0 && !kept ? ' What came after it does not fit without it.' : '';
  store.setState({
    documents: kept ?? stored,
    gesture: null,
    queued: null,
    pending: kept ? later : [],
    undo: undo.filter(({ id }) => id !== refused?.id),
    redo: [],
    saving: 'refused',
    rescue: documents,
    message: `This change was not saved and is taken back. ${why}${rescued}`,
  });
}

/** Whether to go on at once: `false` waits for a change, a number for so many ms. */
async function saveNext(store: WorkbenchStore): Promise<boolean | number> {
  const { pending, revision, documents, conflict } = store.getState();
  const change = pending[0];
  if (!change || conflict) return false;
  store.setState({ saving: 'saving' });
  try {
    const address = `/api/projects/${documents.project.id}`;
    const saved = await request<{ revision: number }>('PATCH', address, change, {
      'if-match': `"${revision}"`,
    });
    store.setState((s) => ({
      revision: saved.revision,
      stored: applyPatch(s.stored, change.patch),
      pending: s.pending.slice(1),
      saving: s.pending.length > 1 ? 'saving' : 'saved',
    }));
    return true;
  } catch (error) {
    if (!(error instanceof RequestProblem)) throw error;
    if (error.status === 412 && error.body.documents) {
      meet(store, error.body.documents as Documents, error.body.revision as number);
      return true;
    }
    // A proxy in between may answer in ways of its own: what is not about the change is tried again.
    if (error.status < 400 || error.status >= 500 || [401, 408, 412, 429].includes(error.status)) {
      store.setState({ saving: 'offline', message: error.message });
      return RETRY_MS;
    }
    giveUp(store, error.message);
    return false;
  }
}

/**
 * Saves as one goes: one change at a time, in order, over and over until the server has it.
 * @param arrived ids of the changes that the server already had when the page was made
 * @returns a function that ends it
 */
export function watchSaving(store: WorkbenchStore, arrived: readonly string[]): () => void {
  let running = false;
  /** whether something came while it ran */
  let again = false;
  let ended = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let rest: ReturnType<typeof setTimeout> | undefined;

  const run = async () => {
    clearTimeout(retry);
    if (running) again = true;
    if (running || ended) return;
    running = true;
    let next: boolean | number = true;
    try {
      while ((next === true || again) && !ended) {
        again = false;
        next = await saveNext(store);
      }
    } catch (error) {
      // Whatever it was, what is pending stays and is sent again.
      store.setState({
        saving: 'offline',
        message: `Saving was interrupted and goes on. ${messageOf(error)}`,
      });
      next = RETRY_MS;
    } finally {
      running = false;
    }
    if (typeof next === 'number' && !ended) retry = setTimeout(() => void run(), next);
  };

  takeUp(store, arrived, (theirs, revision) => meet(store, theirs, revision));
  void run();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.undo !== before.undo || state.redo !== before.redo || state.pending !== before.pending)
      keepOver(state);
    // What is drawn on all screens is saved, also while its editor is still open.
    if (state.gesture && state.documents !== before.documents) {
      clearTimeout(rest);
      rest = setTimeout(() => queueGesture(store), REST_MS);
    }
    const news = state.pending !== before.pending || state.conflict !== before.conflict;
    if (news && state.pending.length > 0 && state.saving !== 'offline') void run();
  });
  const online = () => void run();
  // What a tab keeps survives a reload, but not its end: whoever leaves with something unsaved is asked first.
  const leave = (event: BeforeUnloadEvent) => {
    if (store.getState().pending.length > 0) event.preventDefault();
  };
  const hide = () => {
    if (document.visibilityState === 'hidden') queueGesture(store);
  };
  document.addEventListener('visibilitychange', hide);
  window.addEventListener('online', online);
  window.addEventListener('beforeunload', leave);
  return () => {
    ended = true;
    clearTimeout(retry);
    unsubscribe();
    clearTimeout(rest);
    document.removeEventListener('visibilitychange', hide);
    window.removeEventListener('online', online);
    window.removeEventListener('beforeunload', leave);
  };
}
