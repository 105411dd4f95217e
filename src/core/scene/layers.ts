import type { Layer, Scene } from './scene';

/** Whether a rule of a layer is measured from another layer, as a region or as what a share is of. */
const leansOn = (layer: Layer, id: string) =>
  layer.kind === 'picture' &&
  JSON.stringify([layer.placing, layer.when?.map((w) => w.placing)]).includes(JSON.stringify(`layer:${id}`));

/** Names of the layers that are measured from a layer, so that it cannot simply go. */
export const leaningLayers = (scene: Scene, id: string): string[] =>
  scene.layers.filter((l) => l.id !== id && leansOn(l, id)).map((l) => l.name);

/**
 * A copy of a layer, right above it. Where the original is measured from a third layer, so is the copy.
 * @param copyId id of the copy
 */
export function duplicateLayer(scene: Scene, id: string, copyId: string): void {
  const index = scene.layers.findIndex((l) => l.id === id);
  const layer = scene.layers[index];
  if (!layer) return;
  const name = `${layer.name.slice(0, 110)} (copy)`;
  scene.layers.splice(index + 1, 0, { ...(JSON.parse(JSON.stringify(layer)) as Layer), id: copyId, name });
}

/** Moves a layer by a number of places, negative towards the back; as far as there are places. */
export function moveLayer(scene: Scene, id: string, by: number): void {
  const index = scene.layers.findIndex((l) => l.id === id);
  const [layer] = index < 0 ? [] : scene.layers.splice(index, 1);
  if (layer) scene.layers.splice(Math.max(0, index + by), 0, layer);
}
