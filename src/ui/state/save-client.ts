import { changeProject, readProject } from '@/formats/api/projects';
import { z } from 'zod';
import { changeBetween, sayStep, type Change, type Step } from '@/core/patch/change';
import { Documents } from '@/core/project/documents';
import { stepOf } from '@/core/steps/commands';
import { merge3, type Version } from '@/core/project/merge';
import { applyPatch, Operation, whereFits } from '@/core/patch/patch';
import { newId } from '@/workers/new-id';
import { messageOf, ask, RequestProblem } from '../api';
import { committedOf, queueGesture } from './edit';
import { keepBase, keepOver, takeUp } from './kept-over';
import type { WorkbenchStore } from './workbench';

const RETRY_MS = 3000;
/** After which a save is sent once more; the server takes the same change once. */
const ANSWER_MS = 20_000;
/** A value that rests this long is written, while its editor is still open. */
const REST_MS = 500;

/** What unsaved steps are called that become one. */
function togetherOf(steps: readonly Change[]): Step | null {
  const [first] = steps.flatMap((s) => s.step ?? []);
  if (!first || steps.length === 1) return first ?? null;
  return stepOf('project.merge', sayStep(first));
}

/** Lays the changes that are still to be saved on top of somebody else’s state, or says where both made different things. */
function meet(store: WorkbenchStore, theirs: Documents, revision: number): void {
  const { stored, documents, gesture, pending } = store.getState();
  const merged = merge3(stored, documents, theirs);
  const committed = merge3(stored, committedOf(store.getState()), theirs);
  if ([merged, committed].some((m) => m.clashes.length > 0 || m.problem !== null))
    return store.setState({ conflict: { theirs, revision }, saving: 'conflict' });
  const change = changeBetween(newId(), theirs, committed.documents, togetherOf(pending));
  store.setState({
    stored: theirs,
    revision,
    documents: merged.documents,
    gesture: gesture && committed.documents,
    queued: null,
    pending: change ? [change] : [],
    saving: change ? 'saving' : 'saved',
    message: 'Changes from elsewhere were loaded.',
  });
}

/** How many steps lead from one state to the next; those that change nothing are none. */
const stepsThrough = (states: readonly Documents[], step: Step): Change[] =>
  states.slice(1).flatMap((after, i) => changeBetween(newId(), states[i]!, after, step) ?? []);

/**
 * Ends a conflict as was chosen for each thing. What was here is saved first, and then what was chosen: so both what was
 * here and what was elsewhere are in the history, and undo leads back to what was here.
 * @param choices by the key of the place of each clash
 */
export function resolveConflict(store: WorkbenchStore, choices: ReadonlyMap<string, Version>): void {
  const { conflict, stored, documents: mine, undo } = store.getState();
  if (!conflict) return;
  const { theirs, revision } = conflict;
  const chosen = merge3(stored, mine, theirs, choices).documents;
  const ours = merge3(stored, mine, theirs);
  const pending = stepsThrough(
    ours.problem === null ? [theirs, ours.documents, chosen] : [theirs, chosen],
    stepOf('project.choose'),
  );
  store.setState({
    stored: theirs,
    revision,
    documents: chosen,
    gesture: null,
    step: null,
    queued: null,
    pending,
    undo: [...undo, ...pending.slice(1)],
    redo: [],
    conflict: null,
    saving: 'saved',
    message:
      pending.length > 1
        ? 'What you did not choose is kept: undo brings back what was yours, and the history has both.'
        : null,
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
    step: null,
    queued: null,
    pending: kept ? later : [],
    undo: undo.filter(({ id }) => id !== refused?.id),
    redo: [],
    saving: 'refused',
    rescue: documents,
    message: `This change was not saved and is taken back. ${why}${rescued}`,
  });
}

const Since = z.object({
  revision: z.int(),
  documents: Documents.optional(),
  patch: z.array(Operation).optional(),
});

/** What others made of the project: as the server says it, by what differs or as a whole; where it does not, as it is read. */
async function theirsOf(
  store: WorkbenchStore,
  said: unknown,
): Promise<{ theirs: Documents; revision: number }> {
  const since = Since.safeParse(said).data;
  const { stored } = store.getState();
  const theirs = since?.documents ?? (since?.patch && whereFits(stored, since.patch));
  if (since && theirs) return { theirs, revision: since.revision };
  const { documents, revision } = await ask(
    readProject,
    { project: stored.project.id },
    { deadlineMs: ANSWER_MS },
  );
  return { theirs: documents, revision };
}

/** Meets what others made of the project. @returns whether to go on at once, or after how many ms */
async function meetOthers(store: WorkbenchStore, said: unknown): Promise<boolean | number> {
  try {
    const { theirs, revision } = await theirsOf(store, said);
    meet(store, theirs, revision);
    return true;
  } catch (error) {
    if (!(error instanceof RequestProblem)) throw error;
    store.setState({ saving: 'offline', message: error.message });
    return RETRY_MS;
  }
}

/** Whether to go on at once: `false` waits for a change, a number for so many ms. */
async function saveNext(store: WorkbenchStore): Promise<boolean | number> {
  const { pending, revision, documents, conflict } = store.getState();
  const change = pending[0];
  if (!change || conflict) return false;
  store.setState({ saving: 'saving' });
  try {
    const headers = { 'if-match': `"${revision}"` };
    const saved = await ask(
      changeProject,
      { project: documents.project.id },
      { body: change, headers, deadlineMs: ANSWER_MS },
    );
    store.setState((s) => ({
      revision: saved.revision,
      stored: applyPatch(s.stored, change.patch),
      pending: s.pending.slice(1),
      saving: s.pending.length > 1 ? 'saving' : 'saved',
    }));
    return true;
  } catch (error) {
    if (!(error instanceof RequestProblem)) throw error;
    if (error.status === 412) return await meetOthers(store, error.body);
    // A proxy in between may answer in ways of its own: what is not about the change is tried again.
    if (error.status < 400 || error.status >= 500 || [401, 408, 412, 429].includes(error.status)) {
      store.setState({ saving: 'offline', message: error.message });
      return RETRY_MS;
    }
    giveUp(store, error.message);
    return false;
  }
}

/** Sends what is pending, one change after another, over and over until the server has it. */
class Sending {
  private running = false;
  /** whether something came while it ran */
  private again = false;
  private ended = false;
  private retry: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly store: WorkbenchStore) {}

  /** Begins, or goes on where it waited; what came while it runs is sent, too. */
  readonly go = (): void => void this.run();

  end(): void {
    this.ended = true;
    clearTimeout(this.retry);
  }

  private async run(): Promise<void> {
    clearTimeout(this.retry);
    if (this.running) this.again = true;
    if (this.running || this.ended) return;
    this.running = true;
    let next: boolean | number = true;
    try {
      next = await this.sendAll();
    } catch (error) {
      // Whatever it was, what is pending stays and is sent again.
      this.store.setState({
        saving: 'offline',
        message: `Saving was interrupted and goes on. ${messageOf(error)}`,
      });
      next = RETRY_MS;
    } finally {
      this.running = false;
    }
    if (typeof next === 'number' && !this.ended) this.retry = setTimeout(this.go, next);
  }

  private async sendAll(): Promise<boolean | number> {
    let next: boolean | number = true;
    while ((next === true || this.again) && !this.ended) {
      this.again = false;
      next = await saveNext(this.store);
    }
    return next;
  }
}

/** Keeps what the page is left with. @returns a function that ends it */
function watchLeaving(store: WorkbenchStore, onOnline: () => void): () => void {
  // What a tab keeps survives a reload, but not its end: whoever leaves with something unsaved is asked first.
  const leave = (event: BeforeUnloadEvent) => {
    if (store.getState().pending.length > 0) event.preventDefault();
  };
  const hide = () => {
    if (document.visibilityState !== 'hidden') return;
    queueGesture(store);
    keepBase(store.getState());
  };
  document.addEventListener('visibilitychange', hide);
  window.addEventListener('online', onOnline);
  window.addEventListener('beforeunload', leave);
  return () => {
    document.removeEventListener('visibilitychange', hide);
    window.removeEventListener('online', onOnline);
    window.removeEventListener('beforeunload', leave);
  };
}

/**
 * Saves as one goes: one change at a time, in order, over and over until the server has it.
 * @param arrived ids of the changes that the server already had when the page was made
 * @returns a function that ends it
 */
export function watchSaving(store: WorkbenchStore, arrived: readonly string[]): () => void {
  const sending = new Sending(store);
  let rest: ReturnType<typeof setTimeout> | undefined;
  takeUp(store, arrived, (theirs, revision) => meet(store, theirs, revision));
  sending.go();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.undo !== before.undo || state.redo !== before.redo || state.pending !== before.pending)
      keepOver(state);
    // What is drawn on all screens is saved, also while its editor is still open.
    if (state.gesture && state.documents !== before.documents) {
      clearTimeout(rest);
      rest = setTimeout(() => queueGesture(store), REST_MS);
    }
    const news = state.pending !== before.pending || state.conflict !== before.conflict;
    if (news && state.pending.length > 0 && state.saving !== 'offline') sending.go();
  });
  const stay = watchLeaving(store, sending.go);
  return () => {
    sending.end();
    keepBase(store.getState());
    unsubscribe();
    clearTimeout(rest);
    stay();
  };
}
