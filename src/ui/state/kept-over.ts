import { z } from 'zod';
import { Change } from '@/core/patch/change';
import { Documents } from '@/core/project/documents';
import { whereFits } from '@/core/patch/patch';
import type { WorkbenchState, WorkbenchStore } from './workbench';

/** What a tab keeps of its own over a reload. */
const Kept = z.object({
  undo: z.array(Change),
  redo: z.array(Change),
  pending: z.array(Change),
});
type Kept = z.infer<typeof Kept>;
const keptKey = (s: WorkbenchState) => `coulee ${s.documents.project.id}`;
/** What the unsaved changes are to be laid on; by itself, because it is large and takes long to write. */
const baseKey = (s: WorkbenchState) => `${keptKey(s)} base`;

function write(key: string, kept: Kept | Documents): boolean {
  try {
    sessionStorage.setItem(key, JSON.stringify(kept));
    return true;
  } catch {
    // There is only so much room.
    return false;
  }
}

/** Keeps the steps of this tab. Where there is no room for all of them, what is unsaved goes first. */
export function keepOver(state: WorkbenchState): void {
  const { undo, redo, pending } = state;
  const key = keptKey(state);
  const isKept = write(key, { undo, redo, pending }) || write(key, { undo: [], redo: [], pending });
  if (!isKept) sessionStorage.removeItem(key);
}

/** Keeps what the unsaved changes are to be laid on, for when they no longer fit; called when the page is left. */
export function keepBase(state: WorkbenchState): void {
  const key = baseKey(state);
  if (state.pending.length === 0 || !write(key, state.stored)) sessionStorage.removeItem(key);
}

function readAs<T>(key: string, schema: z.ZodType<T>): T | null {
  try {
    const text = sessionStorage.getItem(key);
    const kept = schema.safeParse(text ? JSON.parse(text) : null);
    return kept.success ? kept.data : null;
  } catch {
    return null;
  }
}

/** Documents with changes one after another; `null` where one of them does not fit. */
const all = (documents: Documents, changes: readonly Change[]): Documents | null =>
  changes.reduce<Documents | null>((d, { patch }) => d && whereFits(d, patch), documents);

/**
 * Takes up the steps of this tab from before a reload; what was not saved yet is applied again and sent again. Where it no
 * longer fits, it meets what the server has as it would have without the reload.
 * @param arrived ids of the changes that the server already had when the page was made
 */
export function takeUp(
  store: WorkbenchStore,
  arrived: readonly string[],
  meet: (theirs: Documents, revision: number) => void,
): void {
  const state = store.getState();
  const kept = readAs(keptKey(state), Kept);
  if (!kept) return;
  const { undo, redo } = kept;
  const isThere = ({ id }: Change) => arrived.includes(id);
  const pending = kept.pending.filter((change) => !isThere(change));
  if (pending.length === 0) {
    store.setState({ undo, redo });
    return;
  }
  const documents = all(state.documents, pending);
  if (documents) {
    store.setState({ undo, redo, pending, documents });
    return;
  }
  // As it was when the tab last heard of the server, with what has arrived since.
  const stored = readAs(baseKey(state), Documents);
  const base = stored && all(stored, kept.pending.filter(isThere));
  const mine = base && all(base, pending);
  if (!base || !mine) {
    store.setState({
      undo,
      redo,
      message: 'A change from before the reload no longer fits and was left out.',
    });
    return;
  }
  const { documents: theirs, revision } = state;
  store.setState({ undo, redo, pending, stored: base, documents: mine });
  meet(theirs, revision);
}
