import type { Breach } from './judge';
import { isOfLayers, type LayerMeasure } from './limit';
import { figureOf, type Measures } from './measures';

/** What was measured of one layer on one case, and which limits that breaks. */
export interface LayerState {
  measures: Measures;
  breaches: readonly Breach[];
}

/** By how much a figure is larger than another time. */
export interface Change {
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
export function changes(is: LayerState, was: LayerState): Change[] {
  const broken = [...is.breaches, ...was.breaches].map((b) => b.limit.measure).filter(isOfLayers);
  return [...new Set([...LOSSES, ...broken])].flatMap((measure) => {
    const read = figureOf(measure);
    const [now, before] = [read(is.measures), read(was.measures)];
    return now === null || before === null ? [] : [{ measure, by: now - before }];
  });
}
