import type { Layer } from '../scene/scene';
import type { Appearance } from '../values/values';
import { paintColours } from '../values/paint';
import { resolveColour, type NamedValue } from '../values/values';

/** Of one case as a whole. */
export interface SceneMeasures {
  /** number of grounds that are drawn */
  grounds: number;
  /**
   * in the dark, the number of backgrounds that show a light file on a dark ground, or a dark file on a ground without a
   * dark half; 0 in light
   */
  unpaired: number;
}

const hasDark = (layer: Layer, named: readonly NamedValue[]) =>
  layer.kind === 'ground' &&
  paintColours(layer.colour).some(
    (c) => resolveColour(c, 'dark', named) !== resolveColour(c, 'light', named),
  );

/** @param shown the layers that are drawn; @param fileOf the appearance of the file that a picture layer takes */
export function sceneMeasures(
  shown: readonly Layer[],
  fileOf: (layerId: string) => Appearance,
  appearance: Appearance,
  named: readonly NamedValue[],
): SceneMeasures {
  let grounds = 0;
  for (const l of shown) if (l.kind === 'ground') grounds++;
  if (appearance === 'light' || grounds === 0) return { grounds, unpaired: 0 };
  const isDark = shown.some((l) => hasDark(l, named));
  let unpaired = 0;
  for (const l of shown)
    if (l.kind === 'picture' && l.role === 'background' && (fileOf(l.id) === 'dark') !== isDark) unpaired++;
  return { grounds, unpaired };
}
