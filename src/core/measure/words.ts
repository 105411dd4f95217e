import type { Breach, Outcome } from './judge';
import type { Measures } from './measures';
import { MEASURE, type Limit, type MeasureName } from './limit';

/** Outcomes have shapes, so that nothing is said by colour alone. */
export const OUTCOME_SHAPES: Record<Outcome, string> = { fail: '▲', warn: '◭', clear: '○' };

/** What a measure is called where it is not followed by a figure. */
export const measureNoun = (measure: MeasureName) => MEASURE[measure].noun;
export const typedAs = (measure: MeasureName) => MEASURE[measure].unit.typed;
/** A value of a measure with its unit: “65.3 %”. */
export const sayValue = (measure: MeasureName, value: number) => MEASURE[measure].unit.say(value);

/** “crop 65.3 %”, “enlarged 1.42 ×”, “to safe edge −12 lu” */
export const sayFigure = (measure: MeasureName, value: number) =>
  `${MEASURE[measure].word} ${sayValue(measure, value)}`;

/** A figure of a layer on one case, with what exactly it concerns there: “Lighthouse cut off”. */
export function sayOnCase(measure: MeasureName, value: number, measures: Measures): string {
  const descriptor = MEASURE[measure];
  const own = descriptor.of === 'layer' ? descriptor.onCase?.(measures) : null;
  return own ?? sayFigure(measure, value);
}

/** Less than this of what is typed is not said. */
const LEAST_SAID = 0.05;

/** “crop −66.3 %”, “to safe edge +12 lu”; `null` for next to nothing. @param by in the measure’s own unit */
export function sayChange(measure: MeasureName, by: number): string | null {
  const { word, unit } = MEASURE[measure];
  const amount = Math.abs(by) * unit.typed.factor;
  if (amount < LEAST_SAID) return null;
  const name = unit.names ? ` ${unit.typed.unit}` : '';
  return `${word} ${by > 0 ? '+' : '−'}${unit.sayBy(amount)}${name}`;
}

const BARS: Record<string, string> = {
  'bar:status': 'Status bar',
  'bar:title': 'Title bar',
  'bar:navigation': 'Navigation bar',
  scene: 'The scene',
};

/** What a breach is of: the name of the layer, of a bar, or the scene. */
export const ownerName = (id: string, layers: readonly { id: string; name: string }[]): string =>
  BARS[id] ?? layers.find((l) => l.id === id)?.name ?? id;

/** “limit: 50 %”, “limit: at least 8 lu”, “limit: 20 % to 40 %” */
export function sayLimit({ measure, min, max }: Limit): string {
  const { say } = MEASURE[measure].unit;
  if (min === undefined) return `limit: ${max === undefined ? 'none' : say(max)}`;
  if (max === undefined) return `limit: at least ${say(min)}`;
  return min === max ? `limit: exactly ${say(min)}` : `limit: ${say(min)} to ${say(max)}`;
}

export const sayBreach = (b: Breach, layerName: string) =>
  `${layerName}: ${sayFigure(b.limit.measure, b.value)}, ${sayLimit(b.limit)}`;
