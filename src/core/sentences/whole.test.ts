import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { centredByInk } from '../fit/presets';
import { withFits } from '../scene/rules';
import { isPlaced, type Layer, type PictureLayer } from '../scene/scene';
import { casesOf } from '../screens/cases';
import { surveyCase, type LayerResult } from '../survey/survey';
import * as any from '../testing/arbitraries';
import { halfWide } from '../testing/fonts';
import { SCREENS } from '../testing/scenes';
import { layerSentence } from './layer';
import { sentenceText, setAt, valueAt, type Path } from './parts';

/** Every part of a rule is in its sentence: of what is not said nothing may change. */

const { project, scenes } = demo;
const scene = scenes['winter-splash']!;
const cases = casesOf(
  SCREENS.filter((_, i) => i % 20 === 3),
  ['light', 'dark'],
);
const names = { layers: scene.layers, named: project.named };
const said = (layer: Layer) => sentenceText(layerSentence(layer, names, project.pictures));

/** What is drawn of a layer; `null` where its rule cannot be drawn. */
function drawn(layer: Layer): unknown {
  const input = {
    scene: { ...scene, layers: [...scene.layers, layer] },
    pictures: project.pictures,
    named: project.named,
    limits: [],
    fonts: halfWide,
  };
  try {
    return cases.map((c) => {
      const it: LayerResult = surveyCase(input, c).layers.find((l) => l.id === 'it')!;
      const { box } = it;
      if (it.kind === 'ground') return { box, paint: it.paint };
      if (it.kind === 'panel') return { box, paint: it.paint, clip: it.clip, placement: it.placement };
      if (it.kind === 'text')
        return { box, lines: it.lines, size: it.fontSize, colour: it.colour, face: it.face };
      return { box, tint: it.tint, placement: it.placement };
    });
  } catch {
    return null;
  }
}

/** Parts of a rule that may differ, one at a time. */
const PATHS: Record<Layer['kind'], Path[]> = {
  ground: [['colour'], ['opacity']],
  picture: [
    ['fit', 'size'],
    ['fit', 'repeat'],
    ['fit', 'align'],
    ['fit', 'clip'],
    ['fit', 'cornerRadius'],
    ['placing', 'x'],
    ['placing', 'y'],
    ['placing', 'ratio'],
    ['tint'],
    ['opacity'],
  ],
  text: [
    ['style', 'font'],
    ['style', 'weight'],
    ['style', 'size'],
    ['style', 'lineHeight'],
    ['style', 'colour'],
    ['style', 'align', 'x'],
    ['style', 'align', 'y'],
    ['style', 'maxLines'],
    ['style', 'shrinkTo'],
    ['placing', 'x'],
    ['placing', 'y'],
  ],
  panel: [['colour'], ['cornerRadius'], ['padding', 'left'], ['padding', 'top'], ['clip'], ['placing', 'x']],
};

it('two rules of which the same is said draw alike on all cases', () => {
  let compared = 0;
  fc.assert(
    fc.property(any.anyLayer, any.anyLayer, fc.nat(), (first, second, pick) => {
      fc.pre(first.kind === second.kind);
      const paths = PATHS[first.kind];
      const path = paths[pick % paths.length]!;
      const usual = (layer: Layer): Layer =>
        isPlaced(layer)
          ? { ...layer, id: 'it', visible: true, parent: undefined, when: undefined }
          : { ...layer, id: 'it' };
      const a = usual(structuredClone(first));
      const b = structuredClone(a);
      const value = valueAt(second, path);
      setAt(b, [path], value);
      fc.pre(said(a) === said(b));
      const before = drawn(a);
      if (before === null) return;
      compared++;
      expect(drawn(b)).toEqual(before);
    }),
    { numRuns: 200, maxSkipsPerRun: 2000 },
  );
  expect(compared).toBeGreaterThan(15);
});

it('a logo that is centred by its ink does not read as one that is centred', () => {
  const emblem = scene.layers.find((l): l is PictureLayer => l.id === 'emblem' && l.kind === 'picture')!;
  const centred = withFits(emblem, (fit) => centredByInk(fit, { x: 0.03, y: -0.02 }));
  expect(said(centred)).not.toBe(said(emblem));
  expect(said(centred)).toContain('aligned 50 % across − 3 %, 50 % down + 2 %');
});
