import type { WorkbenchState, WorkbenchStore } from './workbench';

type Standing = Pick<WorkbenchState, 'pending' | 'saving' | 'conflict' | 'gesture'>;

/**
 * Whether the server has everything that was changed here. A change that it refused is taken back, so that nothing of it is
 * left to be saved.
 */
export const isAllSaved = ({ pending, conflict, gesture }: Standing): boolean =>
  pending.length === 0 && conflict === null && gesture === null;

/** Why something is not saved yet, and what there is to do about it; `null` where nothing waits to be saved. */
export function notSavedBecause(state: Standing): string | null {
  if (state.conflict) return 'the project has two versions: choose between them first';
  if (state.pending.length === 0) return null;
  return state.saving === 'offline'
    ? 'the server cannot be reached, and is tried again'
    : 'your changes are being saved';
}

/**
 * Waits until the server has every change that was made so far; what is being dragged or typed just now is not waited for.
 * @param onWaiting hears why it waits each time that this changes, and `null` at the end
 * @throws the reason of the signal, where it is aborted
 */
export async function onceSaved(
  store: WorkbenchStore,
  signal: AbortSignal,
  onWaiting: (why: string | null) => void,
): Promise<void> {
  let end: () => void = () => undefined;
  let said: string | null = null;
  try {
    await new Promise<void>((resolve, reject) => {
      const look = (state: WorkbenchState) => {
        const why = notSavedBecause(state);
        if (why !== said) onWaiting(why);
        said = why;
        if (why === null) resolve();
      };
      const stop = () => reject(signal.reason as Error);
      const unsubscribe = store.subscribe(look);
      signal.addEventListener('abort', stop);
      end = () => {
        unsubscribe();
        signal.removeEventListener('abort', stop);
      };
      if (signal.aborted) stop();
      else look(store.getState());
    });
  } finally {
    end();
    if (said !== null) onWaiting(null);
  }
}
