import { produce } from 'immer';
import type { Documents } from '@/core/scene/documents';
import type { PictureLayer, Scene } from '@/core/scene/scene';
import type { WorkbenchStore } from './workbench';

/** Changes the documents; everything that is drawn and measured follows. */
export function edit(store: WorkbenchStore, recipe: (documents: Documents) => void): void {
  store.setState((s) => ({ documents: produce(s.documents, recipe) }));
}

export function editPictureLayer(
  store: WorkbenchStore,
  layerId: string,
  recipe: (layer: PictureLayer) => void,
): void {
  const { sceneId } = store.getState();
  edit(store, ({ scenes }) => {
    const layer = scenes[sceneId]?.layers.find((l) => l.id === layerId);
    if (layer?.kind === 'picture') recipe(layer);
  });
}

/** The picture that fills the screen: the rearmost picture layer with the role of a background. */
export const backgroundOf = (scene: Scene): PictureLayer | undefined =>
  scene.layers.find((l): l is PictureLayer => l.kind === 'picture' && l.role === 'background');
