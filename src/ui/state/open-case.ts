import { screensFor } from '@/core/icons/slots';
import { scenesInOrder } from '@/core/project/documents';
import { findCase } from '@/core/screens/cases';
import type { View } from './view';
import type { WorkbenchStore } from './workbench';

/** Opens a case on the lens of screens, in its own appearance, with the field as it was or as it is asked for. */
export function openCase(store: WorkbenchStore, caseId: string, more: Partial<View> = {}): void {
  const { view, screens, documents, sceneId } = store.getState();
  const isOn = (id: string) => findCase(caseId, screensFor(documents.scenes[id], documents.project, screens));
  // An icon has other cases than what is looked at on screens.
  const scene = isOn(sceneId) ? sceneId : scenesInOrder(documents).find((s) => isOn(s.id))?.id;
  const appearance = (scene && isOn(scene)?.appearance) || view.appearance;
  store.setState({
    sceneId: scene ?? sceneId,
    isPicked: true,
    view: { ...view, lens: 'screens', middle: 'field', case: caseId, appearance, ...more },
  });
}
