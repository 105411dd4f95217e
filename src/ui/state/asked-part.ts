import type { Path } from '@/core/sentences/parts';
import { useWorkbench, useWorkbenchStore } from './context';
import { commit } from './edit';
import type { AskedPart, WorkbenchStore } from './workbench';

/** Goes to the rules and has the editor of a part opened there; the wide close-up stays open beside them. */
export function goToPart(store: WorkbenchStore, part: AskedPart): void {
  commit(store);
  store.setState(({ view }) => ({ drawer: 'rules', askedPart: part, view: { ...view, lens: 'screens' } }));
}

/** The path of the part of a layer, or of the scene without one, whose editor is asked for; `null` where none is. */
export const useAskedPath = (layerId: string | null): Path | null =>
  useWorkbench((s) => (s.askedPart?.layerId === layerId ? s.askedPart.path : null));

/** Puts away what was asked for, once its editor is closed. */
export function useAnswerPart(): () => void {
  const store = useWorkbenchStore();
  return () => store.setState({ askedPart: null });
}
