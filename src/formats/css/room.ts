import type { Axis } from '@/core/geometry/rect';
import type { PlacedLayer } from '@/core/scene/scene';

/** Whether a layer takes room in its panel along an axis: one that is hidden does for those that are measured from it. */
export const takesRoom = (layer: PlacedLayer, layers: readonly PlacedLayer[], axis: Axis): boolean =>
  layer.visible ||
  layers.some((l) => {
    const isFrom = JSON.stringify(l.placing[axis]).includes(JSON.stringify(`layer:${layer.id}`));
    return isFrom && l.parent === layer.parent && takesRoom(l, layers, axis);
  });
