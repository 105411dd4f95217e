import { extentRule } from '@/core/placing/sizes';
import type { Layer, TextLayer } from '@/core/scene/scene';
import { casesOf } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { surveyCase, type LayerResult, type SurveyInput } from '@/core/survey/survey';

/** Whether a text is as wide as its lines up to some bound: CSS can say that only where its lines are never broken. */
const isBounded = (layer: Layer): layer is TextLayer =>
  layer.kind === 'text' &&
  [layer, ...(layer.when ?? [])].some(({ placing }) => {
    const extent = placing && extentRule(placing.x);
    return extent?.kind === 'natural' && extent.max !== undefined;
  });

/** Of the texts that are as wide as their lines up to some bound, those of which a line is broken on any of some screens. */
export function brokenTexts(input: SurveyInput, screens: readonly Screen[]): ReadonlySet<string> {
  const texts = input.scene.layers.filter(isBounded);
  if (texts.length === 0) return new Set();
  const lines = new Map(texts.map((l) => [l.id, l.text.split('\n').length]));
  const isBroken = (l: LayerResult) => l.kind === 'text' && l.lines.length > (lines.get(l.id) ?? Infinity);
  const results = casesOf(screens, ['light']).map((c) => surveyCase(input, c));
  return new Set(results.flatMap((r) => r.layers.filter(isBroken).map((l) => l.id)));
}
