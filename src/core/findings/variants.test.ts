import { applyPatch } from '../scene/patch';
import { Documents } from '../scene/documents';
import { demoDocuments } from '../../../demo/documents';
import { COMPARED, variantsOf } from './variants';

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
});
