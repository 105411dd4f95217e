import { fillScreen } from '../placing/presets';
import type { Extent, Placing } from '../placing/rule';
import { findCase } from '../screens/cases';
import type { Layer, PanelLayer, Scene } from '../scene/scene';
import { lu, percent } from '../values/values';
import {
  edgesOf as edges,
  fitOf as fit,
  inputOf,
  middleOf as middle,
  pictureLayer as layer,
  pictureOf,
  SCREENS,
  TURNED,
  UPRIGHT,
} from '../testing/scenes';
import type { SurveyInput } from '../survey/prepare';
import { surveyCase } from '../survey/survey';
import { explain, explainScreen } from './figure';
import { steps, type AskedFigure } from './reason';

/** What goes wrong in layouts, reproduced, and explained in words down to the rule and the metric of the screen. */

/** 1024 × 1024 px at 1 px per lu, and 2400 × 1800 at 3. */
const pictures = [
  pictureOf('logo', { widthPx: 1024, heightPx: 1024, density: 1 }),
  pictureOf('photo', { widthPx: 2400, heightPx: 1800, density: 3 }),
];

const length = (value: ReturnType<typeof lu>): Extent => ({ kind: 'length', length: value });
const own = { value: 'own', strict: true } as const;

const input = (layers: Layer[], more: Partial<Scene> = {}) => inputOf(layers, pictures, more);
const why = (asked: SurveyInput, figure: AskedFigure, c = UPRIGHT, id = 'it') => {
  const list = steps(explain(asked, c, id, figure)).map((s) => s.reason);
  return { text: list.map((r) => r.text).join(' '), list };
};
const measuresOf = (asked: SurveyInput, c = UPRIGHT, id = 'it') => {
  const found = surveyCase(asked, c).layers.find((l) => l.id === id);
  if (!found || found.kind === 'ground') throw new Error('It is a placed layer');
  return found;
};

describe('why', () => {
  it('a background stops at the safe area, only in landscape', () => {
    const asked = input([
      layer(
        { x: edges('safe'), y: edges('screen') },
        { picture: 'photo', fit: fit('cover'), role: 'background' },
      ),
    ]);
    expect(measuresOf(asked, UPRIGHT).measures.bareScreen.distance.left).toBe(0);
    expect(measuresOf(asked, TURNED).measures.bareScreen.distance.left).toBe(59);
    const { text, list } = why(asked, { name: 'bare-screen', side: 'left' }, TURNED);
    expect(text).toBe(
      '59 are bare between the screen’s left and the drawing. ' +
        'The left edge of It’s box lies 59 from the screen’s left: 0 from the left of the safe area. ' +
        'The safe area stands 59 off the screen’s left in landscape. In portrait it is 0.',
    );
    expect(list[1]!.part).toEqual({ layerId: 'it', path: ['placing', 'x', 'start', 'region'] });
    expect(list[2]!.metric).toEqual({
      label: 'inset at the left in landscape',
      confidence: 'high',
      origin: 'catalogue',
      approximate: false,
    });
  });

  it('a margin makes a gap', () => {
    const margin = { left: lu(16), right: lu(16), top: lu(0), bottom: lu(0) };
    const asked = input(
      [layer({ x: edges('margins'), y: edges('screen') }, { fit: fit('stretch'), role: 'background' })],
      { margin },
    );
    expect(measuresOf(asked).measures.bareScreen.distance.right).toBe(16);
    const { text, list } = why(asked, { name: 'bare-screen', side: 'right' });
    expect(text).toContain('0 from the right of the margins.');
    expect(text).toContain('The margins lie 16 inside the safe area at the right.');
    expect(list.map((r) => r.part)).toContainEqual({ layerId: null, path: ['margin', 'right'] });
  });

  it('a box is smaller than a picture that was not told to resize', () => {
    const asked = input([
      layer({ x: middle(length(lu(120))), y: middle(length(lu(120))) }, { fit: fit('natural', false) }),
    ]);
    expect(measuresOf(asked).placement.drawn.width).toBe(1024);
    const { text, list } = why(asked, { name: 'drawn-width' });
    expect(text).toContain('The drawn width is 1024, more than the screen’s 393');
    expect(text).toContain(
      'drawn at its natural size, whatever its box: 1024 × 1024 in a box of 120 × 120. A box does not resize a picture that is not told to.',
    );
    expect(list.map((r) => r.part)).toContainEqual({ layerId: 'it', path: ['fit'] });
  });

  it('a panel that hugs nothing is not seen', () => {
    const panel: PanelLayer = {
      kind: 'panel',
      id: 'it',
      name: 'It',
      role: 'other',
      visible: true,
      placing: { x: middle(length(percent(80))), y: middle({ kind: 'hug' }) },
      colour: { light: '#ffffff' },
      cornerRadius: lu(0),
      padding: { left: lu(16), right: lu(16), top: lu(16), bottom: lu(16) },
      clip: true,
    };
    const empty = input([panel]);
    expect(measuresOf(empty).measures.collapsed).toBe(1);
    expect(why(empty, { name: 'collapse' }).text).toBe(
      'The box of It is 314.4 × 0: nothing of it is seen. It hugs what it holds, and it holds no visible layer: its height is 0, so nothing of it is seen.',
    );
    const flat = layer(
      {
        x: edges('parent'),
        y: { kind: 'start', edge: { region: 'parent', offset: lu(0) }, extent: length(lu(0)) },
      },
      { id: 'child', name: 'Child', parent: 'it' },
    );
    const { text, list } = why(input([panel, flat]), { name: 'collapse' });
    expect(text).toContain('nothing that it holds has a height');
    expect(list.at(-1)!.part).toEqual({ layerId: 'it', path: ['placing', 'y', 'extent'] });
  });

  it('a picture of natural size is larger than the screen', () => {
    const natural = { kind: 'natural' } as const;
    const asked = input([layer({ x: middle(natural), y: middle(natural) })]);
    expect(measuresOf(asked).measures.crop!.total).toBeGreaterThan(0.6);
    const { text } = why(asked, { name: 'crop', side: 'left' });
    expect(text).toContain('of the drawn width is hidden at the left: 315.5 of 1024.');
    expect(text).toContain('The width of It is its natural one.');
    expect(text).toContain('The natural width of It is 1024: 1024 px in its file ÷ 1 px per lu.');
  });

  it('a logo is in the middle of the screen but not of the safe area', () => {
    const asked = input([
      layer({
        x: middle(length(lu(100)), 'screen'),
        y: middle({ kind: 'from-ratio' }, 'screen'),
        ratio: own,
      }),
    ]);
    const { clearance } = measuresOf(asked).measures;
    expect(clearance!.safe.top).not.toBe(clearance!.safe.bottom);
    const { text, list } = why(asked, { name: 'clearance', side: 'top' });
    expect(text).toContain(
      'It is centred down in the whole screen, whose middle lies 426 from the screen’s top. The middle of the safe area lies 12.5 further to the bottom.',
    );
    expect(text).toContain('The safe area stands 59 off the screen’s top in portrait. In landscape it is 0.');
    expect(text).toContain(
      'The safe area stands 34 off the screen’s bottom in portrait. In landscape it is 21.',
    );
    expect(list.map((r) => r.part)).toContainEqual({ layerId: 'it', path: ['placing', 'y', 'region'] });
  });

  it('a logo of 38 % of the width is gigantic in landscape', () => {
    const asked = input([
      layer({ x: middle(length(percent(38)), 'screen'), y: middle({ kind: 'from-ratio' }), ratio: own }),
    ]);
    expect(measuresOf(asked, TURNED).measures.share.height).toBeCloseTo((0.38 * 852) / 393, 9);
    const { text, list } = why(asked, { name: 'share-height' }, TURNED);
    expect(text).toContain('follows from its width by its own shape');
    expect(text).toContain(
      'The width of It: 38 % of the whole screen’s width, which is 852 here, gives 323.8. Nothing bounds it above.',
    );
    expect(text).toContain('The screen’s width is 852 in landscape: 2556 px ÷ 3 px per lu.');
    expect(list.map((r) => r.part)).toContainEqual({ layerId: 'it', path: ['placing', 'x', 'extent'] });
  });
});

describe('a chain of reasons', () => {
  it('leads into the rule that differs where that one holds', () => {
    const asked = input([
      layer(fillScreen(), {
        when: [{ orientation: 'landscape', placing: { x: edges('safe'), y: edges('safe') } }],
      }),
    ]);
    const parts = why(asked, { name: 'clearance', side: 'left' }, TURNED).list.map((r) => r.part?.path);
    expect(parts).toContainEqual(['when', 0, 'placing', 'x', 'start', 'region']);
  });

  it('says which bound decides, and follows a layer to the one it leans on', () => {
    const logo = layer({
      x: middle({ ...length(percent(90)), max: { length: lu(200) } } as Extent),
      y: middle({ kind: 'from-ratio' }),
      ratio: own,
    });
    const label = layer(
      {
        x: middle(length(percent(50))),
        y: {
          kind: 'start',
          edge: { region: 'layer:it', side: 'end', offset: lu(12) },
          extent: length(lu(40)),
        },
      },
      { id: 'label', name: 'Label', fit: fit('stretch') },
    );
    const { text } = why(input([logo, label]), { name: 'clearance', side: 'top' }, UPRIGHT, 'label');
    expect(text).toContain('12 below It.');
    expect(text).toContain('It is held to its upper bound, 200.');
  });

  it('swaps left and right in the right-to-left preview', () => {
    const placing: Placing = {
      x: { kind: 'start', edge: { region: 'safe', offset: lu(20) }, extent: length(lu(50)) },
      y: middle(length(lu(50))),
    };
    const asked = input([layer(placing)], { direction: 'rtl' });
    expect(measuresOf(asked).measures.clearance!.safe.right).toBeCloseTo(20, 9);
    expect(why(asked, { name: 'clearance', side: 'right' }).text).toContain(
      'The right edge of It’s box lies 20 from the screen’s right: 20 from the right of the safe area.',
    );
  });

  it('says of every figure something that ends in a full stop, and keeps to known metrics', () => {
    const asked = input([layer(fillScreen(), { picture: 'photo', fit: fit('cover') })]);
    const names = [
      'drawn-width',
      'drawn-height',
      'scale',
      'crop',
      'bare',
      'bare-screen',
      'distortion',
      'enlargement',
      'clearance',
      'share-width',
      'share-height',
      'width-mm',
      'collapse',
    ] as const;
    for (const name of names) {
      const { list } = why(asked, { name });
      for (const r of list) expect(r.text).toMatch(/^[A-Z0-9−].*\.$/);
    }
  });

  it('names the screen’s own dimensions as metrics', () => {
    const asked = input([layer(fillScreen())]);
    expect(explainScreen(asked, TURNED, 'x').metric?.label).toBe('width and density of the screen');
    expect(explainScreen(asked, UPRIGHT, 'top').text).toContain('59 off the screen’s top');
    const rough = findCase('phone-360x800-2x.0.light', SCREENS) ?? UPRIGHT;
    expect(explainScreen(asked, rough, 'top').metric?.approximate).toBe(
      rough.screen.approximate.includes('insets'),
    );
  });
});
