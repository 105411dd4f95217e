import { lostFiles } from '@/formats/api/files';
import { ask, RequestProblem } from '../api';
import type { WorkbenchStore } from './workbench';

/** How long until it is asked again, while files are missing. */
const AGAIN_MS = 5000;

/** Asks which files of the project the store has lost, until none is. @returns a function that ends it */
export function watchLost(store: WorkbenchStore): () => void {
  let ended = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  const look = async () => {
    const { documents } = store.getState();
    const { lost } = await ask(lostFiles, { project: documents.project.id });
    if (ended) return;
    store.setState({ lost });
    if (lost.length > 0) again = setTimeout(run, AGAIN_MS);
  };
  const run = () => {
    look().catch((error: unknown) => {
      // What cannot be asked now is asked later; that the server is away is said where something is saved.
      if (!(error instanceof RequestProblem)) throw error;
      if (!ended) again = setTimeout(run, AGAIN_MS);
    });
  };
  run();
  return () => {
    ended = true;
    clearTimeout(again);
  };
}

/** Takes note of a file that is in the store again. @returns whether it was one that was lost */
export function putBack(store: WorkbenchStore, hash: string): boolean {
  const { lost } = store.getState();
  if (!lost.includes(hash)) return false;
  store.setState({ lost: lost.filter((h) => h !== hash) });
  return true;
}
