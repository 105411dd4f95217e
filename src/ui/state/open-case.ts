import { findCase } from '@/core/screens/cases';
import type { View } from './view';
import type { WorkbenchStore } from './workbench';

/** Opens a case on the lens of screens, in its own appearance, with the field as it was or as it is asked for. */
export function openCase(store: WorkbenchStore, caseId: string, more: Partial<View> = {}): void {
  const { view, screens } = store.getState();
  const appearance = findCase(caseId, screens)?.appearance ?? view.appearance;
  store.setState({
    isPicked: true,
    view: { ...view, lens: 'screens', middle: 'field', case: caseId, appearance, ...more },
  });
}
