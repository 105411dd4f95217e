import { fitOf, middleOf, pictureLayer, edgesOf, inputOf, pictureOf, UPRIGHT } from '../testing/scenes';
import { fillScreen } from '../placing/presets';
import { surveyCase } from '../survey/survey';
import type { Layer } from '../scene/scene';
import { filePixelsOf } from '../pixels/file';
import { lu, percent } from '../values/values';
import { handoverOf, outsideCircle } from './handover';
import type { Stage } from '../project/launch';
import { asDrawn, MASK_ID } from './system';

const pictures = [
  pictureOf('photo', { widthPx: 2400, heightPx: 1600, density: 3 }),
  pictureOf('logo', { widthPx: 600, heightPx: 300, density: 3 }),
];
const ground = (colour: string): Layer => ({
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: colour },
});
const layers: Layer[] = [
  ground('#ffffff'),
  pictureLayer(fillScreen(), { id: 'photo', picture: 'photo', role: 'background', fit: fitOf('cover') }),
  pictureLayer(
    {
      x: middleOf({ kind: 'length', length: percent(50), of: 'screen' }, 'screen'),
      y: { kind: 'end', edge: { region: 'safe', offset: lu(30) }, extent: { kind: 'from-ratio' } },
      ratio: { value: 'own', strict: true },
    },
    { id: 'logo' },
  ),
];
const base = inputOf(layers, pictures);
const drawnBy = (system: Stage['system'], padding = 0) => {
  const { scene, outside } = asDrawn(base.scene, { system, padding, empty: false });
  const result = surveyCase({ ...base, scene }, UPRIGHT);
  const boxOf = (id: string) => {
    const layer = result.layers.find((l) => l.id === id);
    return layer?.kind === 'picture' ? layer.placement : undefined;
  };
  return { outside, result, boxOf };
};

describe('a window of the system', () => {
  it('that is flat draws pictures at their natural size at a side, and stretches one over the screen', () => {
    const { boxOf, outside } = drawnBy('flat');
    const { width, height } = UPRIGHT.screen;
    expect(boxOf('logo')!.drawn).toMatchObject({
      width: 200,
      height: 100,
      x: (width - 200) / 2,
      y: height - 100,
    });
    expect(boxOf('photo')!.drawn).toEqual({ x: 0, y: 0, width, height });
    // What is placed otherwise is told apart where it is seen.
    expect(outside.map((o) => [o.layerId, o.placed ?? false])).toEqual([
      ['photo', false],
      ['logo', true],
    ]);
  });

  it('that masks an icon draws it in its box, of which the circle is seen', () => {
    const { boxOf, result, outside } = drawnBy('icon');
    const { width, height } = UPRIGHT.screen;
    expect(boxOf('logo')!.box).toEqual({
      x: (width - 288) / 2,
      y: (height - 288) / 2,
      width: 288,
      height: 288,
    });
    expect(boxOf('logo')!.drawn).toMatchObject({ width: 288, height: 144 });
    const mask = result.layers.find((l) => l.id === MASK_ID);
    expect(mask?.box).toMatchObject({ width: 192, height: 192 });
    expect(outside.map((o) => o.layerId)).toEqual(['photo']);
    expect(drawnBy('icon', 0.25).boxOf('logo')!.drawn.width).toBe(144);
  });

  it('of a layout and of the app draw everything by its rules, and nothing where there is none', () => {
    for (const system of ['layout', 'app'] as const) {
      const { outside, result } = drawnBy(system);
      expect(outside).toEqual([]);
      expect(result).toEqual(surveyCase(base, UPRIGHT));
    }
    expect(asDrawn(base.scene, { system: 'flat', padding: 0, empty: true }).scene.layers).toEqual([]);
  });

  it('names texts, panels and further grounds that it does not draw', () => {
    const text: Layer = {
      kind: 'text',
      id: 'text',
      name: 'Text',
      role: 'text',
      visible: true,
      text: 'Hello',
      placing: { x: edgesOf('safe'), y: middleOf({ kind: 'natural' }) },
      style: {
        font: 'sans',
        weight: 400,
        size: 15,
        lineHeight: 1.3,
        colour: { light: '#000000' },
        align: { x: 'start', y: 'start' },
      },
    };
    const scene = { ...base.scene, layers: [...layers, text, { ...ground('#000000'), id: 'second' }] };
    for (const system of ['flat', 'icon'] as const) {
      const { outside, scene: drawn } = asDrawn(scene, { system, padding: 0, empty: false });
      const left = outside.filter((o) => !o.placed).map((o) => o.layerId);
      expect(left.toSorted()).toEqual(['photo', 'second', 'text']);
      expect(drawn.layers.filter((l) => l.kind === 'ground').map((l) => l.id)).toEqual(['ground']);
    }
  });
});

describe('from one stage to the next', () => {
  const plain = (colour: string, more: Layer[] = []) =>
    surveyCase(inputOf([ground(colour), ...more], pictures), UPRIGHT);
  const none = new Map();

  it('white to black is a difference of 100, and nothing to the same is none', () => {
    expect(handoverOf(plain('#ffffff'), plain('#000000'), none, 0).flash).toBeCloseTo(100, 4);
    expect(handoverOf(plain('#345678'), plain('#345678'), none, 0)).toMatchObject({ flash: 0, jumps: [] });
    const { colours } = handoverOf(plain('#ffffff'), plain('#000000'), none, 0);
    expect(colours).toMatchObject({ groundShare: 1, before: { r: 255 }, after: { r: 0 } });
    expect(handoverOf(plain('#ffffff'), plain('#000000'), null, 0).flash).toBeNull();
  });

  it('a fade takes the flash out of what was a picture, not out of bare ground', () => {
    const hash = 'a'.repeat(64);
    const data = new Uint8ClampedArray(4 * 4 * 4).fill(255);
    const known = new Map([[hash, filePixelsOf({ width: 4, height: 4, data })]]);
    const photo = layers[1]!;
    const [bare, covered, after] = [plain('#ffffff'), plain('#000000', [photo]), plain('#000000')];
    expect(handoverOf(covered, after, known, 0).flash).toBeCloseTo(100, 4);
    expect(handoverOf(covered, after, known, 300).flash).toBe(0);
    expect(handoverOf(bare, after, known, 300).flash).toBeCloseTo(100, 4);
  });

  it('tells how a picture moves and grows, and which come and go', () => {
    const at = (x: number, width: number): Layer =>
      pictureLayer(
        {
          x: {
            kind: 'start',
            edge: { region: 'screen', offset: lu(x) },
            extent: { kind: 'length', length: lu(width) },
          },
          y: { kind: 'start', edge: { region: 'screen', offset: lu(100) }, extent: { kind: 'from-ratio' } },
          ratio: { value: 'own', strict: true },
        },
        { id: 'logo' },
      );
    const h = handoverOf(plain('#fff000', [at(20, 100)]), plain('#fff000', [at(50, 200)]), none, 0);
    expect(h.jumps[0]).toMatchObject({ shift: { x: 80, y: 25 }, scale: 2 });
    expect(h.jumps[0]!.furthest).toBeCloseTo(Math.hypot(130, 50), 9);
    const { appears, vanishes } = handoverOf(
      plain('#fff000', [at(20, 100)]),
      plain('#fff000', [layers[1]!]),
      none,
      0,
    );
    expect([appears, vanishes]).toEqual([['It'], ['It']]);
  });

  it('a disc loses to a circle what lies outside it, by its alpha', () => {
    const size = 200;
    const data = new Uint8ClampedArray(size * size * 4);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++)
        if (Math.hypot(x + 0.5 - size / 2, y + 0.5 - size / 2) <= size / 2)
          data[(y * size + x) * 4 + 3] = 255;
    const file = filePixelsOf({ width: size, height: size, data });
    const lost = (width: number) =>
      outsideCircle({ x: -width / 2, y: -width / 2, width, height: width }, file, { x: 0, y: 0, radius: 96 });
    expect(lost(190)).toBeCloseTo(0, 9);
    // A disc of 288 with a hole of 192 in its place: 1 − (2/3)².
    expect(lost(288)).toBeCloseTo(5 / 9, 2);
  });
});
