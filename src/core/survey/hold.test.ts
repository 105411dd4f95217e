import fc from 'fast-check';
import type { Rect } from '../geometry/rect';
import { Placing } from '../placing/rule';
import { hugsNothing } from '../scene/layers';
import { Scene, type PanelLayer, type PictureLayer } from '../scene/scene';
import { lu, percent } from '../values/values';
import { casesOf } from '../screens/cases';
import * as any from '../testing/arbitraries';
import {
  edgesOf,
  inputOf,
  middleOf,
  pictureLayer,
  pictureOf,
  SCREENS,
  TURNED,
  UPRIGHT,
} from '../testing/scenes';
import { DEFAULT_LIMITS } from '../measure/defaults';
import { holdIn } from './hold';
import { survey, surveyCase, type SurveyInput } from './survey';

const pictures = [pictureOf('logo', { widthPx: 400, heightPx: 200, density: 2 })];
const pad = { left: lu(16), right: lu(8), top: lu(12), bottom: lu(20) };
const panelOf = (placing: Placing, more: Partial<PanelLayer> = {}): PanelLayer => ({
  kind: 'panel',
  id: 'panel',
  name: 'Panel',
  role: 'other',
  visible: true,
  placing,
  colour: { light: '#ffffff' },
  cornerRadius: lu(0),
  padding: pad,
  clip: false,
  ...more,
});
const fixed = panelOf({
  x: middleOf({ kind: 'length', length: percent(80), of: 'safe' }),
  y: middleOf({ kind: 'length', length: lu(300) }),
});
const hugging = panelOf({
  x: middleOf({ kind: 'length', length: percent(80), of: 'safe' }),
  y: middleOf({ kind: 'hug' }),
});
const logo = pictureLayer({
  x: middleOf({ kind: 'length', length: percent(40), of: 'safe' }),
  y: middleOf({ kind: 'from-ratio' }),
  ratio: { value: 'own', strict: true },
});
const held = (id: string): PictureLayer => ({
  ...pictureLayer({
    x: edgesOf('parent'),
    y: {
      kind: 'start',
      edge: { region: 'parent', offset: lu(0) },
      extent: { kind: 'length', length: lu(50) },
    },
  }),
  id,
  name: id,
  parent: 'panel',
});

const boxIn = (input: SurveyInput, id: string, c = UPRIGHT): Rect => {
  const layer = surveyCase(input, c).layers.find((l) => l.id === id);
  if (!layer || layer.kind === 'ground') throw new Error(`${id} is not drawn`);
  return layer.placement.box;
};
const cases = [UPRIGHT, TURNED, ...casesOf(SCREENS.slice(0, 3), ['light'])];
const into = (input: SurveyInput, id: string, panel: string | undefined): SurveyInput => ({
  ...input,
  scene: Scene.parse(holdIn(input, cases, id, panel)),
});
function expectSame(a: Rect, b: Rect): void {
  for (const key of ['x', 'y', 'width', 'height'] as const)
    expect(Math.abs(a[key] - b[key])).toBeLessThan(0.011);
}
const partOf = (input: SurveyInput, id: string) =>
  input.scene.layers.find((l) => l.id === id) as PictureLayer;

describe('a layer that a panel is to hold', () => {
  it('stays where it is, whatever its rule and that of the panel are, and out again as well', () => {
    let compared = 0;
    const valid = any.placing.filter((p) => Placing.safeParse(p).success);
    fc.assert(
      fc.property(valid, valid, (one, two) => {
        const plain = inputOf([panelOf(one), pictureLayer(two)], pictures);
        const input = {
          ...plain,
          named: [{ id: 'gap', name: 'gap', value: { value: 12, unit: 'lu' as const } }],
        };
        let before: { it: Rect; panel: Rect };
        try {
          before = { it: boxIn(input, 'it'), panel: boxIn(input, 'panel') };
        } catch {
          return; // measured from one another, or from what is not there
        }
        const inside = into(input, 'it', 'panel');
        expect(partOf(inside, 'it').parent).toBe('panel');
        const isEmpty = hugsNothing(input.scene, 'panel');
        // A place that is a share, or has a name, is not changed for it.
        if (isEmpty && /"%"|"px"|"named"/.test(JSON.stringify(one))) return;
        expectSame(boxIn(inside, 'it'), before.it);
        if (!isEmpty) expectSame(boxIn(inside, 'panel'), before.panel);
        const out = into(inside, 'it', undefined);
        expect(partOf(out, 'it').parent).toBeUndefined();
        expectSame(boxIn(out, 'it'), before.it);
        compared++;
      }),
      { numRuns: 300 },
    );
    expect(compared).toBeGreaterThan(100);
  });

  it('goes along with it from then on', () => {
    const inside = into(inputOf([fixed, logo], pictures), 'it', 'panel');
    const panel = inside.scene.layers[0] as PanelLayer;
    const moved = {
      ...panel,
      placing: { ...panel.placing, y: { ...panel.placing.y, shift: lu(70) } },
    } as PanelLayer;
    const after = { ...inside, scene: { ...inside.scene, layers: [moved, inside.scene.layers[1]!] } };
    expect(boxIn(after, 'it').y - boxIn(inside, 'it').y).toBeCloseTo(70, 2);
  });

  it('can go into a new panel, which goes around it', () => {
    const input = inputOf([hugging, logo], pictures);
    expect(boxIn(input, 'panel').height).toBe(0);
    const inside = into(input, 'it', 'panel');
    const [before, it, panel] = [boxIn(input, 'it'), boxIn(inside, 'it'), boxIn(inside, 'panel')];
    expectSame(it, before);
    // 12 above and 20 below.
    expect(panel.y).toBeCloseTo(it.y - 12, 2);
    expect(panel.height).toBeCloseTo(it.height + 32, 2);
    expect((inside.scene.layers[0] as PanelLayer).placing.y).toMatchObject({ extent: { kind: 'hug' } });
  });

  it('leaves a panel that hugs others the size that it has', () => {
    const input = inputOf([hugging, held('a'), { ...logo, placing: { ...logo.placing } }], pictures);
    const inside = into(input, 'it', 'panel');
    expectSame(boxIn(inside, 'panel'), boxIn(input, 'panel'));
    expectSame(boxIn(inside, 'it'), boxIn(input, 'it'));
    expectSame(boxIn(inside, 'a'), boxIn(input, 'a'));
    expect((inside.scene.layers[0] as PanelLayer).placing.y).toMatchObject({
      extent: { kind: 'length', length: lu(82) },
    });
  });

  it('stays where each of its rules puts it, on a case on which that one holds', () => {
    const when = [{ orientation: 'landscape' as const, placing: { x: edgesOf('safe'), y: edgesOf('safe') } }];
    const input = inputOf([fixed, { ...logo, when }], pictures);
    const inside = into(input, 'it', 'panel');
    for (const c of [UPRIGHT, TURNED]) expectSame(boxIn(inside, 'it', c), boxIn(input, 'it', c));
    expect(JSON.stringify(partOf(inside, 'it').when)).not.toContain('"safe"');
  });

  it('stays where it is in the mirror too', () => {
    const start = pictureLayer({
      x: {
        kind: 'start',
        edge: { region: 'safe', offset: lu(30) },
        extent: { kind: 'length', length: lu(90) },
      },
      y: middleOf({ kind: 'length', length: lu(90) }),
    });
    const input = inputOf([fixed, start], pictures, { direction: 'rtl' });
    expectSame(boxIn(into(input, 'it', 'panel'), 'it'), boxIn(input, 'it'));
  });
});

describe('a panel that holds nothing yet', () => {
  const limits = [...DEFAULT_LIMITS];
  const collapsed = (input: SurveyInput) =>
    survey({ ...input, limits }, cases).flatMap((r) =>
      r.breaches.filter((b) => b.limit.measure === 'collapse'),
    );

  it('is not said to have collapsed; one that was given no height is', () => {
    expect(collapsed(inputOf([hugging], pictures))).toEqual([]);
    // What it holds may have been hidden by mistake.
    const hidden = inputOf([hugging, { ...held('a'), visible: false }], pictures);
    expect(collapsed(hidden).length).toBeGreaterThan(0);
    const flat = panelOf({ ...fixed.placing, y: middleOf({ kind: 'length', length: lu(0) }) });
    expect(collapsed(inputOf([flat], pictures)).length).toBeGreaterThan(0);
    const nothing = {
      ...held('a'),
      placing: {
        ...held('a').placing,
        y: { ...held('a').placing.y, extent: { kind: 'length', length: lu(0) } },
      },
    } as PictureLayer;
    expect(collapsed(inputOf([hugging, nothing], pictures)).some((b) => b.subjectId === 'panel')).toBe(true);
  });
});
