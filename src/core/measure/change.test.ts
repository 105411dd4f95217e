import { survey } from '../survey/survey';
import { demoCases, demoInput } from '../../../demo/testing';
import type { Layer } from '../scene/scene';
import { fitOf } from '../testing/scenes';
import { changes, mostChanged, type LayerState } from './change';
import { sayChange } from './words';

const [first] = demoCases;
const judged = (change: (l: Layer) => Layer, id: string): LayerState => {
  const input = demoInput('winter-splash');
  const scene = { ...input.scene, layers: input.scene.layers.map((l) => (l.id === id ? change(l) : l)) };
  const [result] = survey({ ...input, scene }, [first!]);
  const layer = result!.layers.find((l) => l.id === id)!;
  if (layer.kind === 'ground') throw new Error('A ground is not measured.');
  return { measures: layer.measures, breaches: result!.breaches.filter((b) => b.subjectId === id) };
};

describe('changes', () => {
  it('are of losses, and of whatever breaks a limit in either state', () => {
    const fit = (size: 'cover' | 'contain' | 'natural') => (l: Layer) =>
      l.kind === 'picture' ? { ...l, fit: { ...l.fit, size } } : l;
    const cover = judged(fit('cover'), 'harbour');
    const contain = judged(fit('contain'), 'harbour');
    const found = new Map(changes(contain, cover).map((c) => [c.measure, c.by]));
    expect(found.get('crop')).toBe(-cover.measures.crop!.total);
    expect(found.get('bare')).toBe(contain.measures.bare!.total);
    expect(found.get('distortion')).toBeCloseTo(0, 12);
    expect(found.get('bare-screen')).toBe(contain.measures.bareScreen.total);
    for (const { limit } of [...cover.breaches, ...contain.breaches])
      expect(found.has(limit.measure as 'crop')).toBe(true);
    expect(changes(cover, cover).every((c) => c.by === 0)).toBe(true);
    // The other way round everything is the other way round.
    const back = changes(cover, contain);
    expect(back.map((c) => c.by + found.get(c.measure)!)).toEqual(back.map(() => 0));
  });

  it('are none of what is not measured in both', () => {
    const whole = judged((l) => l, 'harbour');
    const repeat = { x: 'repeat', y: 'repeat' } as const;
    const tiled = judged(
      (l) => (l.kind === 'picture' ? { ...l, fit: { ...fitOf('natural'), repeat } } : l),
      'harbour',
    );
    const measured = changes(tiled, whole).map((c) => c.measure);
    expect(measured).not.toContain('crop');
    expect(measured).not.toContain('keep-lost');
    expect(measured).toContain('bare');
  });

  it('are said with a sign and a unit, and not at all where they are next to nothing', () => {
    expect(sayChange('crop', -0.663)).toBe('crop −66.3 %');
    expect(sayChange('clearance-safe', 12.34)).toBe('to safe edge +12.3 lu');
    expect(sayChange('contrast', 0.4)).toBe('contrast +0.4');
    expect(sayChange('enlargement', 1.6)).toBe('enlarged +1.6 ×');
    expect(sayChange('crop', 0.0004)).toBeNull();
    expect(sayChange('clearance-safe', -0.04)).toBeNull();
  });
});

it('the figure that changes most is told with its layer, of all that are there both times', () => {
  const { measures } = judged((l) => l, 'harbour');
  const state = (crop: number, distortion: number, name = 'Harbour') => ({
    breaches: [],
    layers: [
      { id: 'ground', name: 'Ground' },
      {
        id: 'harbour',
        name,
        measures: { ...measures, crop: { left: 0, right: crop, top: 0, bottom: 0, total: crop }, distortion },
      },
    ],
  });
  expect(mostChanged(state(0.4, 0.02), state(0.4, 0.02))).toBeNull();
  const most = mostChanged(state(0.2, 0.03), state(0.6, 0.02));
  expect(most).toMatchObject({ layer: 'Harbour', measure: 'crop', was: 0.6, is: 0.2 });
  expect(most!.share).toBeCloseTo(0.4 / 0.9, 9);
  expect(mostChanged(state(0.2, 0), { breaches: [], layers: [] })).toBeNull();
});
