'use client';
import { stepOf } from '@/core/steps/commands';
import { useChosenCase } from '../state/case-result';
import { holdIn } from '@/core/survey/hold';
import { surveyInput } from '@/core/survey/survey';
import { messageOf } from '../api';
import { useCounted, useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { useOutside } from '../state/outside';

/** Puts a layer into a panel, or out of every one for the empty text, and leaves it where it is on the case that is looked at. */
export function useHolding(layerId: string) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const scene = useScene();
  const chosen = useChosenCase();
  const cases = useCounted();
  const outside = useOutside();
  const nameOf = (id: string) => scene.layers.find((l) => l.id === id)?.name ?? null;
  return (panelId: string) => {
    const input = surveyInput(documents, scene, outside);
    const looked = chosen ? [chosen, ...cases] : cases;
    try {
      const after = holdIn(input, looked, layerId, panelId === '' ? undefined : panelId);
      edit(store, stepOf('layer.hold', nameOf(layerId) ?? 'a layer', nameOf(panelId)), ({ scenes }) => {
        scenes[scene.id] = after;
      });
    } catch (error) {
      // While the fonts of a text are not there yet, nobody knows where it lies.
      store.setState({ message: messageOf(error) });
    }
  };
}
