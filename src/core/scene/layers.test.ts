import { demoDocuments } from '../../../demo/documents';
import { duplicateLayer, leaningLayers, moveLayer } from './layers';
import type { Scene } from './scene';

const scene = (): Scene => structuredClone(demoDocuments(() => []).scenes['winter-splash']!);
const ids = (s: Scene) => s.layers.map((l) => l.id);

describe('layers', () => {
  it('move by places, as far as there are places', () => {
    const s = scene();
    moveLayer(s, 'harbour', 1);
    expect(ids(s)).toEqual(['ground', 'emblem', 'harbour', 'wordmark']);
    moveLayer(s, 'harbour', -9);
    expect(ids(s)).toEqual(['harbour', 'ground', 'emblem', 'wordmark']);
    moveLayer(s, 'none', 1);
    expect(ids(s)).toHaveLength(4);
  });

  it('are copied right above themselves', () => {
    const s = scene();
    duplicateLayer(s, 'emblem', 'copy');
    expect(ids(s)).toEqual(['ground', 'harbour', 'emblem', 'copy', 'wordmark']);
    expect(s.layers[3]).toEqual({ ...s.layers[2], id: 'copy', name: 'Emblem (copy)' });
    expect(s.layers[3]).not.toBe(s.layers[2]);
  });

  it('know who is measured from them, in usual rules, shares and rules that differ', () => {
    const s = scene();
    expect(leaningLayers(s, 'emblem')).toEqual(['Wordmark']);
    expect(leaningLayers(s, 'wordmark')).toEqual([]);
    const [, harbour] = s.layers;
    if (harbour?.kind !== 'picture') throw new Error('Harbour is a picture');
    const edge = { region: 'layer:wordmark' as const, offset: { value: 0, unit: 'lu' as const } };
    const placing = { ...harbour.placing, x: { kind: 'edges' as const, start: edge, end: edge } };
    harbour.when = [{ orientation: 'landscape', placing }];
    expect(leaningLayers(s, 'wordmark')).toEqual(['Harbour']);
    expect(leaningLayers(s, 'word')).toEqual([]);
  });
});
