import { produce } from 'immer';
import { changeBetween, inverted, sayStep, undoable, type Change, type Step } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { applyPatch, type Patch } from '@/core/patch/patch';
import type { Cut } from '@/core/pictures/picture';
import type { Layer } from '@/core/scene/scene';
import { whyNotDrawn } from '@/core/survey/can-be-drawn';
import type { View } from './view';
import { waitsForFonts, type WorkbenchState, type WorkbenchStore } from './workbench';

export { backgroundOf } from '@/core/solve/mark';
import { newId } from '@/workers/new-id';

const MOST_UNDO = 200;

/** The documents after a change. Where it throws the gesture ends with what it came to before. @throws what it throws */
function changedBy(store: WorkbenchStore, recipe: (documents: Documents) => void): Documents {
  try {
    return produce(store.getState().documents, recipe);
  } catch (error) {
    commit(store);
    throw error;
  }
}

/**
 * Changes the documents within a gesture: everything that is drawn and measured follows at once, and all changes up
 * to `commit` are one step to be saved and undone, called as the first of them is. A change after which the scene could not be drawn is not made,
 * and the reason is said.
 * @returns whether it was made
 */
export function editLive(store: WorkbenchStore, step: Step, recipe: (documents: Documents) => void): boolean {
  const state = store.getState();
  if (state.signed) {
    store.setState({ message: `This was signed off by ${state.signed.by}: nothing in it can be changed.` });
    return false;
  }
  const documents = changedBy(store, recipe);
  // Without the fonts a text cannot be looked at yet; the server does so before it saves.
  const unseen = waitsForFonts(documents, state.sceneId, state.fonts);
  const problem = unseen ? null : whyNotDrawn(documents, state.sceneId, state.cases, state.fonts);
  if (problem) store.setState({ message: `That is not possible. ${problem}` });
  else store.setState({ gesture: state.gesture ?? state.documents, step: state.step ?? step, documents });
  return !problem;
}

/** The documents without what a gesture has changed that is not on its way yet. */
export const committedOf = ({ documents, gesture, queued }: WorkbenchState): Documents =>
  queued ?? gesture ?? documents;

/** Sends what a gesture has come to so far, while it goes on: for undo it stays one step. */
export function queueGesture(store: WorkbenchStore): void {
  const state = store.getState();
  if (!state.gesture) return;
  const change = changeBetween(newId(), committedOf(state), state.documents, state.step);
  if (change) store.setState({ queued: state.documents, pending: [...state.pending, change] });
}

/** Ends a gesture: what it changed is one step. */
export function commit(store: WorkbenchStore): void {
  const { gesture, documents, undo, queued, step } = store.getState();
  if (!gesture) return;
  if (queued) queueGesture(store);
  const { pending } = store.getState();
  const change = changeBetween(newId(), gesture, documents, step);
  store.setState(
    change
      ? {
          gesture: null,
          step: null,
          queued: null,
          undo: [...undo, change].slice(-MOST_UNDO),
          redo: [],
          pending: queued ? pending : [...pending, change],
          message: null,
        }
      : { gesture: null, step: null, queued: null },
  );
}

/** Ends a gesture and puts back what there was before it, also what of it was sent while it went on. */
export function abandon(store: WorkbenchStore): void {
  const { gesture, queued, pending, step } = store.getState();
  if (!gesture) return;
  const undone = step && { ...step, undone: true as const };
  const back = queued && changeBetween(newId(), queued, gesture, undone);
  store.setState({
    documents: gesture,
    gesture: null,
    step: null,
    queued: null,
    pending: back ? [...pending, back] : pending,
  });
}

/** A change that is a step by itself. */
export function edit(store: WorkbenchStore, step: Step, recipe: (documents: Documents) => void): void {
  commit(store);
  editLive(store, step, recipe);
  commit(store);
}

/** A change that was tried before, as a step by itself. */
export function editBy(store: WorkbenchStore, step: Step, patch: Patch): void {
  const after = applyPatch(store.getState().documents, patch);
  edit(store, step, (d) => {
    Object.assign(d, after);
  });
}

/** Parts of a project that only one lens shows. */
const SHOWN_BY: readonly (readonly [path: string, lens: View['lens'], word: string])[] = [
  ['/project/launches', 'launch', 'the launch'],
  ['/project/limits', 'findings', 'limits'],
  ['/project/accepted', 'findings', 'what is accepted'],
];

/** Says what a step that is taken back changes where nobody looks just now; `null` where it is seen. */
function outOfSight({ documents, sceneId, view }: WorkbenchState, patch: Patch): string | null {
  const paths = patch.map((p) => p.path);
  const ids = [...new Set(paths.flatMap((p) => /^\/scenes\/([^/]+)/.exec(p)?.[1] ?? []))];
  const scenes = ids.includes(sceneId) ? [] : ids.map((id) => documents.scenes[id]?.name ?? 'a scene');
  const others = SHOWN_BY.filter(
    ([path, lens]) => view.lens !== lens && paths.some((p) => p.startsWith(path)),
  ).map(([, , word]) => word);
  const all = [...scenes, ...others];
  return all.length > 0
    ? `Taken back in ${all.join(', ')}, which is not in view. “redo” makes it again.`
    : null;
}

function walk(store: WorkbenchStore, from: 'undo' | 'redo', to: 'undo' | 'redo'): void {
  commit(store);
  const state = store.getState();
  const change = state[from].at(-1);
  if (!change) return;
  const rest = state[from].slice(0, -1);
  const back: Change = inverted(newId(), change);
  if (!undoable(change, state.documents)) {
    const name = change.step ? `“${sayStep(change.step)}”` : 'That step';
    const message = `${name} cannot be taken back: what it changed was changed again elsewhere.`;
    store.setState({ [from]: rest, message });
    return;
  }
  store.setState({
    documents: applyPatch(state.documents, back.patch),
    pending: [...state.pending, back],
    [from]: rest,
    [to]: [...state[to], back],
    message: from === 'undo' ? outOfSight(state, back.patch) : null,
  });
}

export const undo = (store: WorkbenchStore) => walk(store, 'undo', 'redo');
export const redo = (store: WorkbenchStore) => walk(store, 'redo', 'undo');

/** A recipe for one layer of the open scene, as a recipe for all documents. */
export const inLayer =
  (store: WorkbenchStore, layerId: string, recipe: (layer: Layer) => void) =>
  ({ scenes }: Documents): void => {
    const layer = scenes[store.getState().sceneId]?.layers.find((l) => l.id === layerId);
    if (layer) recipe(layer);
  };

/** A recipe for one cut of a picture, as a recipe for all documents. */
export const inCut =
  (pictureId: string, cut: Cut['cut'], recipe: (cut: Cut) => void) =>
  ({ project }: Documents): void => {
    const target = project.pictures.find((p) => p.id === pictureId)?.cuts.find((c) => c.cut === cut);
    if (target) recipe(target);
  };

/** Moves the point that a cut keeps in the middle, 0..1. */
export const setFocalPoint = (pictureId: string, cut: Cut['cut'], point: Cut['focalPoint']) =>
  inCut(pictureId, cut, (c) => {
    c.focalPoint = point;
  });
