import type { PlacedLayer } from '@/core/scene/scene';

/** Whether a layer takes room in its panel: one that is hidden does for those that stand below it. */
export const takesRoom = (layer: PlacedLayer, layers: readonly PlacedLayer[]): boolean =>
  layer.visible ||
  layers.some((l) => {
    const { y } = l.placing;
    const isBelow = y.kind === 'start' && y.edge.region === `layer:${layer.id}`;
    return isBelow && l.parent === layer.parent && takesRoom(l, layers);
  });
