import { z } from 'zod';
import { Change, changeBetween } from '@/core/scene/change';
import type { Documents } from '@/core/scene/documents';
import { applyPatch, diff, overlap, PatchError } from '@/core/scene/patch';
import { request, RequestProblem } from '../api';
import type { WorkbenchState, WorkbenchStore } from './workbench';

const RETRY_MS = 3000;

/** What a tab keeps of its own over a reload. */
const Kept = z.object({ undo: z.array(Change), redo: z.array(Change), pending: z.array(Change) });
const keptKey = (s: WorkbenchState) => `coulee ${s.documents.project.id}`;

/** Takes up the steps of this tab from before a reload; what was not saved yet is applied again and sent again. */
function takeUp(store: WorkbenchStore, arrived: readonly string[]): void {
  const state = store.getState();
  const text = sessionStorage.getItem(keptKey(state));
  const kept = Kept.safeParse(text ? JSON.parse(text) : null);
  if (!kept.success) return;
  const { undo, redo } = kept.data;
  const pending = kept.data.pending.filter((change) => !arrived.includes(change.id));
  try {
    const documents = pending.reduce((d, change) => applyPatch(d, change.patch), state.documents);
    store.setState({ undo, redo, pending, documents });
  } catch (error) {
    if (!(error instanceof PatchError)) throw error;
    store.setState({
      undo,
      redo,
      message: 'A change from before the reload no longer fits and was left out.',
    });
  }
}

/** Lays the changes that are still to be saved on top of somebody else’s, or says that both touch the same place. */
function meet(store: WorkbenchStore, theirs: Documents, revision: number): void {
  const { stored, pending, documents } = store.getState();
  const foreign = diff(stored, theirs);
  const mine = diff(stored, documents);
  if (overlap(foreign, mine)) {
    store.setState({ conflict: { theirs, revision }, saving: 'conflict' });
    return;
  }
  const merged = applyPatch(theirs, mine);
  const unsaved = pending.reduce((d, change) => applyPatch(d, change.patch), theirs);
  const change = changeBetween(crypto.randomUUID(), theirs, unsaved);
  const { gesture } = store.getState();
  store.setState({
    stored: theirs,
    revision,
    documents: merged,
    gesture: gesture && unsaved,
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
    pending: change ? [change] : [],
    conflict: null,
    saving: 'saved',
    message: null,
  });
}

/** Takes a change that the server refuses out again, with everything that came after it. */
function giveUp(store: WorkbenchStore, message: string): void {
  const { stored } = store.getState();
  store.setState({
    documents: stored,
    gesture: null,
    pending: [],
    undo: [],
    redo: [],
    saving: 'refused',
    message,
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
    if (error.status === 412) {
      meet(store, error.body.documents as Documents, error.body.revision as number);
      return true;
    }
    if (error.status === 0 || error.status >= 500 || error.status === 401) {
      store.setState({ saving: 'offline', message: error.message });
      return RETRY_MS;
    }
    giveUp(store, `This change was not saved and is taken back. ${error.message}`);
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
  let ended = false;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const run = async () => {
    clearTimeout(retry);
    if (running || ended) return;
    running = true;
    let next: boolean | number = true;
    while (next === true && !ended) next = await saveNext(store);
    running = false;
    if (typeof next === 'number' && !ended) retry = setTimeout(() => void run(), next);
  };
  const keep = (s: WorkbenchState) => {
    const { undo, redo, pending } = s;
    sessionStorage.setItem(keptKey(s), JSON.stringify({ undo, redo, pending }));
  };

  takeUp(store, arrived);
  void run();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.undo !== before.undo || state.redo !== before.redo || state.pending !== before.pending)
      keep(state);
    const news = state.pending !== before.pending || state.conflict !== before.conflict;
    if (news && state.pending.length > 0 && state.saving !== 'offline') void run();
  });
  const online = () => void run();
  // What a tab keeps survives a reload, but not its end: whoever leaves with something unsaved is asked first.
  const leave = (event: BeforeUnloadEvent) => {
    if (store.getState().pending.length > 0) event.preventDefault();
  };
  window.addEventListener('online', online);
  window.addEventListener('beforeunload', leave);
  return () => {
    ended = true;
    clearTimeout(retry);
    unsubscribe();
    window.removeEventListener('online', online);
    window.removeEventListener('beforeunload', leave);
  };
}
