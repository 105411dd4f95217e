import { demoDocuments } from '../../../demo/documents';
import { demo } from '../../../demo/testing';
import { duplicateLayer, hasToJudge, leaningLayers, moveLayer, possibleHolders, removeLayer } from './layers';
import { isPlaced, Scene, type PlacedLayer } from './scene';

const scene = (): Scene => structuredClone(demoDocuments(() => []).scenes['winter-splash']!);
const ids = (s: Scene) => s.layers.map((l) => l.id);

/** Says what holds a layer, whatever its rule. */
const hold = (s: Scene, id: string, panel: string | undefined) => {
  const layer = s.layers.find((l) => l.id === id) as PlacedLayer;
  if (panel === undefined) delete layer.parent;
  else layer.parent = panel;
};

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
    duplicateLayer(s, 'emblem', () => 'copy');
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

describe('layers of a panel', () => {
  const signIn = (): Scene => structuredClone(demoDocuments(() => []).scenes['sign-in']!);
  const parents = (s: Scene) => s.layers.map((l) => (isPlaced(l) ? l.parent : undefined));

  it('go and are copied with it, and the copies refer to one another', () => {
    const s = signIn();
    let n = 0;
    duplicateLayer(s, 'form', () => `copy-${++n}`);
    expect(ids(s).slice(3)).toEqual(['form', 'greeting', 'note', 'copy-1', 'copy-2', 'copy-3']);
    expect(parents(s).slice(6)).toEqual([undefined, 'copy-1', 'copy-1']);
    expect(JSON.stringify(s.layers[8])).toContain('"layer:copy-2"');
    expect(JSON.stringify(s.layers[6])).toContain('"layer:emblem"');
    expect(s.layers[6]!.name).toBe('Form (copy)');
    expect(Scene.safeParse(s).success).toBe(true);
    removeLayer(s, 'form');
    expect(ids(s).slice(3)).toEqual(['copy-1', 'copy-2', 'copy-3']);
    expect(Scene.safeParse(s).success).toBe(true);
  });

  it('count as leaning only where they stay', () => {
    const s = signIn();
    expect(leaningLayers(s, 'form')).toEqual([]);
    expect(leaningLayers(s, 'greeting')).toEqual(['Note']);
    hold(s, 'note', undefined);
    expect(leaningLayers(s, 'form')).toEqual(['Note']);
    expect(parents(s).at(-1)).toBeUndefined();
  });

  it('move among themselves', () => {
    const s = signIn();
    moveLayer(s, 'note', -9);
    expect(ids(s).slice(3)).toEqual(['form', 'note', 'greeting']);
    moveLayer(s, 'form', -1);
    expect(ids(s)).toEqual(['ground', 'deck', 'form', 'emblem', 'note', 'greeting']);
  });

  it('cannot be held by themselves, or by what they hold', () => {
    const s = signIn();
    duplicateLayer(s, 'form', () => crypto.randomUUID());
    const copy = s.layers[6]!;
    expect(possibleHolders(s, 'form').map((l) => l.id)).toEqual([copy.id]);
    hold(s, copy.id, 'form');
    expect(possibleHolders(s, 'form')).toEqual([]);
    hold(s, 'form', copy.id);
    expect(Scene.safeParse(s).error!.issues[0]!.message).toContain('cannot hold itself');
    hold(s, 'form', 'emblem');
    expect(Scene.safeParse(s).error!.issues[0]!.message).toContain('no panel of this scene');
  });
});

describe('what there is to judge', () => {
  const scene = structuredClone(demo.scenes['winter-splash']!);

  it('is whatever is placed and shown; a ground alone is nothing', () => {
    expect(hasToJudge(scene)).toBe(true);
    expect(hasToJudge({ ...scene, layers: scene.layers.filter((l) => l.kind === 'ground') })).toBe(false);
    expect(hasToJudge({ ...scene, layers: scene.layers.map((l) => ({ ...l, visible: false })) })).toBe(false);
  });
});
