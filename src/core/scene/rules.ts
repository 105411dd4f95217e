import { presetOf, type FitPreset } from '../fit/presets';
import type { Fit } from '../fit/rule';
import type { Placing } from '../placing/rule';
import type { PictureLayer, PlacedLayer } from './scene';

/** The rules of a picture layer that say how it fits: the usual one as −1, and those that differ in it. */
export const fittingRules = ({ when = [] }: PictureLayer): number[] => [
  -1,
  ...when.flatMap((w, i) => (w.fit ? [i] : [])),
];

/** A layer with the fit of each of its rules changed. @param change of one of those that differ, or of the usual one for −1 */
export const withFits = (layer: PictureLayer, change: (fit: Fit, rule: number) => Fit): PictureLayer => ({
  ...layer,
  fit: change(layer.fit, -1),
  ...(layer.when && { when: layer.when.map((w, i) => (w.fit ? { ...w, fit: change(w.fit, i) } : w)) }),
});

/** A layer with the usual rule and every rule that places it otherwise changed alike. */
export const withPlacings = <L extends PlacedLayer>(layer: L, change: (placing: Placing) => Placing): L => ({
  ...layer,
  placing: change(layer.placing),
  ...(layer.when && {
    when: layer.when.map((w) => (w.placing ? { ...w, placing: change(w.placing) } : w)),
  }),
});

/** The preset that all rules of a picture layer have; `null` where they differ, or have none. */
export function presetOfAll({ fit, when = [] }: PictureLayer): FitPreset | null {
  const usual = presetOf(fit);
  return when.every((w) => !w.fit || presetOf(w.fit) === usual) ? usual : null;
}
