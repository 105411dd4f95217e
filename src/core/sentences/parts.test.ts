import fc from 'fast-check';
import { demoDocuments } from '../../../demo/documents';
import * as any from '../testing/arbitraries';
import { isPlaced, type Layer } from '../scene/scene';
import { layerSentence, whenSentence } from './layer';
import { sentenceText, setAt, valueAt, type Editable, type Part, type Token } from './parts';

const { project, scenes } = demoDocuments(() => []);
const names = {
  layers: [...scenes['winter-splash']!.layers, ...scenes['sign-in']!.layers],
  named: project.named,
};
const sentence = (layer: Layer) => layerSentence(layer, names, project.pictures);
const partsOf = (tokens: readonly Token[]) => tokens.filter((t): t is Part => typeof t !== 'string');

/** What each editor may write. */
const VALUES: Record<Editable['kind'], fc.Arbitrary<unknown>> = {
  length: any.anyLength,
  edge: any.anyLength,
  edges: any.anyLength,
  shift: any.anyLength,
  region: any.region,
  extent: any.extentRule,
  ratio: any.ratio,
  fit: any.anyFit,
  align: fc.constantFrom(
    { kind: 'focal' },
    {
      kind: 'position',
      x: { percent: 10, offset: { value: 3, unit: 'lu' } },
      y: { percent: 0, offset: { value: 0, unit: 'lu' } },
    },
  ),
  clip: fc.boolean(),
  picture: fc.constantFrom('harbour', 'deck', 'gone'),
  colour: any.colour,
  paint: any.paint,
  text: fc.constantFrom('', 'Αλφα', 'two\nlines'),
  style: any.textStyle,
  opacity: fc.constantFrom(0, 0.25, 1),
  role: fc.constantFrom('background', 'logo', 'text', 'other'),
  when: fc.constantFrom({ orientation: 'portrait' }, { minWidth: 300, maxWidth: 600 }),
};

describe('every rule', () => {
  it('has a sentence that begins with a capital or a figure and ends with a full stop', () => {
    fc.assert(
      fc.property(any.anyLayer, (layer) => {
        const text = sentenceText(sentence(layer));
        expect(text).toMatch(/^[A-Z0-9“−].*\.$/s);
        expect(text).not.toMatch(/undefined|NaN|\[object|, ,|,\.| {2}/);
      }),
      { numRuns: 300 },
    );
  });

  it('offers parts whose paths lead to the values that they show', () => {
    fc.assert(
      fc.property(any.anyLayer, (layer) => {
        for (const { paths, editable } of partsOf(sentence(layer)))
          for (const path of paths) expect(valueAt(layer, path)).toEqual(editable.value);
      }),
      { numRuns: 300 },
    );
  });

  it('is changed by each part where it says, and given back by the old value', () => {
    fc.assert(
      fc.property(any.anyLayer, fc.infiniteStream(fc.nat(1000)), (layer, seeds) => {
        const count = partsOf(sentence(layer)).length;
        for (let i = 0; i < count; i++) {
          const changed = structuredClone(layer);
          const { paths, editable } = partsOf(sentence(changed))[i]!;
          const old = structuredClone(editable.value);
          const [value] = fc.sample(VALUES[editable.kind], { numRuns: 1, seed: seeds.next().value! });
          setAt(changed, paths, value);
          for (const path of paths) expect(valueAt(changed, path)).toEqual(value);
          // The changed rule has a sentence as well, and every place that it says is still in it.
          for (const part of partsOf(sentence(changed)))
            for (const path of part.paths) expect(valueAt(changed, path)).toEqual(part.editable.value);
          setAt(changed, paths, old);
          expect(changed).toEqual(layer);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('that differs has the same, inside its own place', () => {
    fc.assert(
      fc.property(any.anyLayer, any.placing, any.anyFit, (layer, placing, fit) => {
        if (!isPlaced(layer)) return;
        const own = layer.kind === 'picture' ? { fit } : {};
        const differing = { ...layer, when: [{ orientation: 'landscape' as const, placing, ...own }] };
        const tokens = whenSentence(differing, 0, names, project.pictures);
        expect(sentenceText(tokens)).toMatch(/^In landscape: .+\.$/);
        for (const { paths, editable } of partsOf(tokens)) {
          for (const path of paths) {
            expect(path.slice(0, 2)).toEqual(['when', 0]);
            expect(valueAt(differing, path)).toEqual(editable.value);
          }
        }
      }),
    );
  });
});
