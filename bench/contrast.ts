import { label as below } from '../src/core/placing/presets';
import type { Layer, TextLayer } from '../src/core/scene/scene';
import { lu } from '../src/core/values/values';
import { contrastOf } from '../src/core/survey/contrast';
import { summarise } from '../src/core/solve/summary';
import { surveyAgain, surveyRunning } from '../src/core/survey/again';
import { survey, surveyEach, type SurveyInput } from '../src/core/survey/survey';
import { DEFAULT_LIMITS } from '../src/core/measure/defaults';
import { halfWide } from '../src/core/testing/fonts';
import { medianMs, report } from './measure';
import { demoPixels } from './pixels';
import { cases, input } from './survey';

const label: TextLayer = {
  kind: 'text',
  id: 'label',
  name: 'Label',
  role: 'text',
  visible: true,
  placing: below('wordmark'),
  text: 'Boats leave at noon',
  style: {
    font: 'sans',
    weight: 400,
    size: 18,
    lineHeight: 1.3,
    colour: { light: '#ffffff' },
    align: { x: 'middle', y: 'start' },
  },
};

const pixels = await demoPixels();

/** Six layers, with pixels. */
export function wholeInput() {
  const { layers } = input.scene;
  const second = { ...label, id: 'second', placing: below('label') };
  const scene = { ...input.scene, layers: [...layers, label, second] };
  return { ...input, fonts: halfWide, scene, limits: [...DEFAULT_LIMITS], pixels };
}

/** Six layers on all distinct cases in both appearances: every measure, every limit, and what of it is kept. */
export function benchWhole(): void {
  const whole = wholeInput();
  // Nothing is kept by what is asked for: every run gets documents of its own.
  const run = ({ scene, limits, ...rest }: SurveyInput) => {
    const kept: unknown[] = [];
    const asked = { ...rest, scene: structuredClone(scene), limits: [...limits] };
    surveyEach(asked, cases, (result) => kept.push(summarise(result)));
  };
  const about = { cases: cases.length, layers: whole.scene.layers.length };
  report(
    'survey of six layers, all measures and outcomes',
    'ms',
    medianMs(() => run(whole)),
    about,
  );
  report(
    'the same without contrast',
    'ms',
    medianMs(() => run({ ...whole, pixels: null })),
    about,
  );
}

/** What is dragged of a layer: where it lies, what a background shows of its picture, or how see-through a ground is. */
function nudged(layer: Layer, by: number): Layer {
  if (layer.kind === 'ground') return { ...layer, opacity: 0.9 - by / 1000 };
  const { y } = layer.placing;
  if (y.kind === 'edges') {
    if (layer.kind !== 'picture') throw new Error(`Nothing of ${layer.name} is dragged.`);
    const across = { percent: 40 + by, offset: lu(0) };
    const down = { percent: 55, offset: lu(0) };
    return { ...layer, fit: { ...layer.fit, align: { kind: 'position', x: across, y: down } } };
  }
  const moved = y.kind === 'middle' ? { ...y, shift: lu(by) } : { ...y, edge: { ...y.edge, offset: lu(by) } };
  return { ...layer, placing: { ...layer.placing, y: moved } };
}

/**
 * The same survey after an edit of one layer, for each of the layers in turn: while a value of its rule runs, and once it
 * has stopped, when what was found is kept for the next edit.
 */
export function benchEdit(): void {
  const whole = wholeInput();
  let by = 0;
  for (const layer of whole.scene.layers) {
    let earlier = surveyAgain(whole, cases, null);
    const edited = (work: typeof surveyRunning) => () => {
      by = (by + 1) % 40;
      const layers = whole.scene.layers.map((l) => (l === layer ? nudged(l, by) : l));
      // As it comes from the page: nothing of it is what it was but for what it says.
      const asked = { ...whole, scene: structuredClone({ ...whole.scene, layers }) };
      const kept: unknown[] = [];
      earlier = work(asked, cases, earlier, (result) => kept.push(summarise(result)));
    };
    const about = { cases: cases.length, layers: whole.scene.layers.length, layer: layer.id };
    report('survey after an edit of one layer', 'ms', medianMs(edited(surveyRunning)), about);
    report('the same, kept for the next', 'ms', medianMs(edited(surveyAgain)), about);
  }
}

/** Contrast of one text over a photo, a logo and a wordmark, on all cases. */
export function benchContrast(): void {
  const { layers } = input.scene;
  const results = survey(
    { ...input, fonts: halfWide, scene: { ...input.scene, layers: [...layers, label] } },
    cases,
  );
  const ms = medianMs(() => {
    for (const r of results) {
      const text = r.layers.at(-1)!;
      if (text.kind === 'text') contrastOf(text, r.layers.length - 1, r.layers, pixels, r.appearance);
    }
  });
  report('contrast of one text on all cases', 'ms', ms, { cases: results.length, under: layers.length });
}
