import { applyPatch } from '../patch/patch';
import { Documents } from '../project/documents';
import { demoDocuments } from '../../../demo/documents';
import { isPlaced } from '../scene/scene';
import { fittingRules } from '../scene/rules';
import { fitOf } from '../scene/when';
import { FIT_LABELS, presetOf } from '../fit/presets';
import { COMPARED, usualValues, variantsOf, type Variant } from './variants';

const documents = demoDocuments(() => [
  { hash: 'a'.repeat(64), widthPx: 240, heightPx: 180, density: 3, appearance: 'light', vector: false },
]);

describe('variants', () => {
  it('of every part are documents that are valid, one of them as it is', () => {
    for (const part of COMPARED) {
      for (const layer of ['harbour', 'emblem']) {
        const variants = variantsOf(documents, 'winter-splash', layer, part);
        for (const { patch } of variants)
          expect(Documents.safeParse(applyPatch(documents, patch)).success).toBe(true);
        if (variants.length > 0) expect(variants.filter((v) => v.patch.length === 0)).toHaveLength(1);
        expect(new Set(variants.map((v) => v.label)).size).toBe(variants.length);
      }
    }
    expect(variantsOf(documents, 'winter-splash', 'harbour', 'fit')).toHaveLength(8);
    expect(variantsOf(documents, 'winter-splash', 'harbour', 'size')).toHaveLength(0);
    expect(variantsOf(documents, 'winter-splash', 'emblem', 'size')).toHaveLength(4);
    expect(variantsOf(documents, 'winter-splash', 'ground', 'fit')).toEqual([]);
  });

  it('have the values that somebody chose, also the one in use', () => {
    const of = (id: string) => documents.scenes['winter-splash']!.layers.find((l) => l.id === id)!;
    const [emblem, harbour] = [of('emblem'), of('harbour')];
    if (!isPlaced(emblem) || !isPlaced(harbour)) throw new Error('Both are placed.');
    const chosen = { ...usualValues(emblem, documents), size: [30, 38] };
    const sizes = variantsOf(documents, 'winter-splash', 'emblem', 'size', chosen);
    expect(sizes.map((v) => [v.label, v.chosen])).toEqual([
      ['as it is', undefined],
      ['30 % of the safe area’s width', 0],
      ['38 % of the safe area’s width', 1],
    ]);
    expect(sizes.map((v) => v.patch.length > 0)).toEqual([false, true, false]);
    const after = applyPatch(documents, sizes[1]!.patch).scenes['winter-splash']!.layers;
    expect(after.find((l) => l.id === 'emblem')).toMatchObject({
      placing: { x: { extent: { length: { value: 30, unit: '%' }, of: 'safe' } } },
    });
    const held = { ...usualValues(harbour, documents), position: [{ x: 20, y: 80 }] };
    const [, moved] = variantsOf(documents, 'winter-splash', 'harbour', 'position', held);
    expect(moved!.label).toBe('held 20 % across, 80 % down');
    // What is usual is never what is in use already.
    expect(usualValues(emblem, documents).size).not.toContain(38);
    expect(usualValues(harbour, documents).picture).not.toContain('harbour');
  });

  it('change every rule of the layer, so that a row is seen on every screen', () => {
    const sceneId = 'winter-splash-mended';
    const fitsOf = (patch: Variant['patch']) => {
      const layer = applyPatch(documents, patch).scenes[sceneId]!.layers.find((l) => l.id === 'harbour')!;
      if (layer.kind !== 'picture') throw new Error('It is no picture.');
      return fittingRules(layer).map((rule) => fitOf(layer, rule));
    };
    const fits = variantsOf(documents, sceneId, 'harbour', 'fit');
    expect(fits.map((v) => v.label)).toEqual(Object.values(FIT_LABELS));
    for (const { patch, label } of fits)
      expect(fitsOf(patch).map((fit) => FIT_LABELS[presetOf(fit)!])).toEqual([label, label]);
    // Each goes on being held where it was.
    const contain = fits.find((v) => v.label === 'contain')!;
    expect(fitsOf(contain.patch).map((f) => f.align)).toEqual(fitsOf([]).map((f) => f.align));
    for (const { patch } of variantsOf(documents, sceneId, 'harbour', 'position').slice(1)) {
      const [usual, turned] = fitsOf(patch);
      expect(turned!.align).toEqual(usual!.align);
    }
  });

  it('have a row for what is in use where the rules of a layer fit differently', () => {
    const sceneId = 'winter-splash-mended';
    const mixed = structuredClone(documents);
    const layer = mixed.scenes[sceneId]!.layers.find((l) => l.id === 'harbour')!;
    if (layer.kind === 'picture') layer.when![0]!.fit!.size = 'contain';
    const fits = variantsOf(mixed, sceneId, 'harbour', 'fit');
    expect(fits.map((v) => v.label)).toEqual(['as it is', ...Object.values(FIT_LABELS)]);
    expect(fits.map((v) => v.patch.length === 0)).toEqual(fits.map((_, i) => i === 0));
  });
});
