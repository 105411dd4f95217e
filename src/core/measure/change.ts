import type { Breach } from './judge';
import { figureOf, isOfLayers, type LayerMeasure } from './limit';
import type { Measures } from './measures';

/** What was measured of one layer on one case, and which limits that breaks. */
export interface LayerState {
  measures: Measures;
  breaches: readonly Breach[];
}

/** By how much a figure is larger than another time. */
export interface Growth {
  measure: LayerMeasure;
  /** in the measure's own unit */
  by: number;
}

/** Told of every layer that has them. */
export const LOSSES: readonly LayerMeasure[] = ['crop', 'bare', 'distortion'];

/**
 * By how much the losses of a layer, and whatever breaks a limit in one of two states, differ from one state to the other;
 * nothing of what is not measured in both.
 */
export function changes(is: LayerState, was: LayerState): Growth[] {
  const broken = [...is.breaches, ...was.breaches].map((b) => b.limit.measure).filter(isOfLayers);
  return [...new Set([...LOSSES, ...broken])].flatMap((measure) => {
    const read = figureOf(measure);
    const [now, before] = [read(is.measures), read(was.measures)];
    return now === null || before === null ? [] : [{ measure, by: now - before }];
  });
}

/** The figure of a case that differs most from another time, of all layers that are there both times. */
export interface MostChanged {
  layer: string;
  measure: LayerMeasure;
  was: number;
  is: number;
  /** how much of both together, 0..1: units that differ can be compared by it */
  share: number;
}

/** So much in a measure's own unit that going from nothing to nearly nothing is not taken for a great change. */
const FLOOR = 0.1;

interface CaseState {
  layers: readonly { id: string; name: string; measures?: Measures }[];
  breaches: readonly Breach[];
}

/** Which figure changes most from one state of a case to another; `null` where none does. */
export function mostChanged(is: CaseState, was: CaseState): MostChanged | null {
  let most: MostChanged | null = null;
  for (const layer of is.layers) {
    const before = was.layers.find((l) => l.id === layer.id);
    if (!layer.measures || !before?.measures) continue;
    const ofLayer = ({ breaches }: CaseState) => breaches.filter((b) => b.subjectId === layer.id);
    const [now, then] = [
      { measures: layer.measures, breaches: ofLayer(is) },
      { measures: before.measures, breaches: ofLayer(was) },
    ];
    for (const { measure } of changes(now, then)) {
      const read = figureOf(measure);
      const [a, b] = [read(layer.measures)!, read(before.measures)!];
      const share = Math.abs(a - b) / (Math.abs(a) + Math.abs(b) + FLOOR);
      if (share > (most?.share ?? 1e-6)) most = { layer: layer.name, measure, was: b, is: a, share };
    }
  }
  return most;
}
