import fc from 'fast-check';
import { type Rect } from '../geometry/rect';
import { excess } from './enlargement';
import { subPixel } from './grid';
import { intrusion } from './intrusion';
import { offCentre } from './off-centre';
import { overlapOf } from './overlap';
import { surveyCase } from '../survey/survey';
import {
  edgesOf,
  fitOf,
  inputOf,
  middleOf,
  pictureLayer,
  pictureOf,
  TURNED,
  UPRIGHT,
} from '../testing/scenes';
import { filePixelsOf } from '../pixels/file';
import type { Region } from '../placing/rule';
import type { PanelLayer } from '../scene/scene';
import { lu } from '../values/values';
import { DEFAULT_LIMITS } from './defaults';

const side = fc.integer({ min: -10, max: 30 });
const extent = fc.integer({ min: 1, max: 30 });
const rect: fc.Arbitrary<Rect> = fc.record({ x: side, y: side, width: extent, height: extent });
const inside = (r: Rect, x: number, y: number) =>
  x > r.x && y > r.y && x < r.x + r.width && y < r.y + r.height;

describe('overlap', () => {
  it('is the area that a raster counts, however much that is, but for what a panel holds', () => {
    fc.assert(
      fc.property(rect, rect, (a, b) => {
        const layer = { id: 'a', seen: a };
        const other = { id: 'b', seen: b };
        let count = 0;
        for (let x = -10; x < 60; x++)
          for (let y = -10; y < 60; y++)
            if (inside(a, x + 0.5, y + 0.5) && inside(b, x + 0.5, y + 0.5)) count++;
        expect(overlapOf(layer, [layer, other])).toBe(count);
        // A scrim is laid around what it is for.
        expect(overlapOf(layer, [{ ...other, around: ['a'] }])).toBe(0);
        expect(overlapOf({ ...layer, around: ['b'] }, [other])).toBe(0);
        expect(overlapOf({ ...layer, parent: 'b' }, [other])).toBe(0);
        // What a panel in a panel holds is inside of both.
        const inner = { id: 'c', parent: 'b', seen: { x: 1e6, y: 0, width: 1, height: 1 } };
        const held = { ...layer, parent: 'c' };
        expect(overlapOf(held, [held, inner, other])).toBe(0);
        expect(overlapOf(other, [held, inner, other])).toBe(0);
      }),
    );
  });
});

describe('the grid', () => {
  it('is at most half a px away, and met by whole px', () => {
    fc.assert(
      fc.property(rect, fc.constantFrom(1, 1.5, 2.625, 3), (r, density) => {
        for (const off of Object.values(subPixel(r, density))) expect(off).toBeLessThanOrEqual(0.5);
        const whole = {
          x: r.x / density,
          y: r.y / density,
          width: r.width / density,
          height: r.height / density,
        };
        for (const off of Object.values(subPixel(whole, density))) expect(off).toBeCloseTo(0, 9);
      }),
    );
    expect(subPixel({ x: 0.25, y: 0, width: 1, height: 1 }, 1).left).toBe(0.25);
  });
});

it('what lies under bars and across folds is told apart', () => {
  const outline = { glass: { rect: { x: 0, y: 0, width: 100, height: 200 }, radius: 0 }, holes: [] };
  const fold = { shape: 'hinge', x: 50, y: 0, width: 0, height: 200, radius: 0 };
  const turned = { cutouts: [fold] } as unknown as Parameters<typeof intrusion>[3];
  const bars = [{ x: 0, y: 0, width: 100, height: 20 }];
  const found = intrusion({ x: 40, y: 10, width: 20, height: 50 }, outline, bars, turned);
  expect(found).toEqual({ cutout: 0, corner: 0, bar: 200, fold: 50 });
  // A button bar at the side of a turned screen crosses the status bar: that corner is covered once.
  const crossing = [...bars, { x: 90, y: 0, width: 10, height: 200 }];
  const whole = intrusion({ x: 0, y: 0, width: 100, height: 200 }, outline, crossing, turned);
  expect(whole.bar).toBe(100 * 20 + 10 * 180);
  expect(intrusion({ x: 60, y: 30, width: 20, height: 50 }, outline, bars, turned).fold).toBe(0);
});

it('the middle of the ink is held against the rule, the screen and the safe area', () => {
  const regions = {
    screen: { x: 0, y: 0, width: 100, height: 200 },
    safe: { x: 10, y: 20, width: 70, height: 170 },
  };
  const inked = { x: 40, y: 90, width: 20, height: 20 };
  expect(offCentre(inked, 'x', 45, 0, regions)).toEqual({ own: 5, screen: 0, safe: 5 });
  expect(offCentre(inked, 'y', 95, -10, regions)).toEqual({ own: 5, screen: 10, safe: 5 });
});

describe('a survey', () => {
  const HASH = 'c'.repeat(64);
  const logo = pictureOf('logo', { widthPx: 100, heightPx: 50, density: 1, hash: HASH });
  /** ink in the right half only */
  const data = new Uint8Array(10 * 5 * 4);
  for (let i = 0; i < 50; i++) if (i % 10 >= 5) data[i * 4 + 3] = 255;
  const pixels = new Map([[HASH, filePixelsOf({ width: 10, height: 5, data })]]);
  const across = {
    x: middleOf({ kind: 'length', length: lu(200) }),
    y: middleOf({ kind: 'from-ratio' }),
    ratio: { value: 'own', strict: true },
  } as const;
  const drawn = (layers: Parameters<typeof inputOf>[0], c = UPRIGHT) => {
    const result = surveyCase({ ...inputOf(layers, [logo]), pixels, limits: DEFAULT_LIMITS }, c);
    const it = result.layers.find((l) => l.id === 'it')!;
    if (it.kind === 'ground') throw new Error('It is placed');
    return { measures: it.measures, result };
  };

  it('finds ink that is off its middle by a quarter of the file', () => {
    const { measures, result } = drawn([pictureLayer(across)]);
    expect(measures.offCentre.x!.own).toBeCloseTo(50, 9);
    expect(measures.offCentre.y!.own).toBeCloseTo(0, 9);
    expect(result.breaches.map((b) => b.limit.measure)).toContain('off-centre');
  });

  it('holds the safe area’s middle against the screen’s where the insets differ', () => {
    const only = { ...across, x: { ...across.x, region: 'screen' as const } };
    const { measures } = drawn([pictureLayer(only, { fit: fitOf('contain') })], TURNED);
    expect(measures.offCentre.x!.own).toBeCloseTo(measures.offCentre.x!.screen, 9);
    // 59 at the left and at the right.
    expect(measures.offCentre.x!.safe).toBeCloseTo(measures.offCentre.x!.own, 9);
  });

  it('says how much spills over a box, how many px are decoded for nothing, and how many grounds there are', () => {
    const small = {
      x: middleOf({ kind: 'length', length: lu(50) }),
      y: middleOf({ kind: 'length', length: lu(25) }),
    };
    const { measures, result } = drawn([pictureLayer(small, { fit: fitOf('natural', false) })]);
    expect(measures.spill).toBe(0.75);
    expect(measures.excess).toBe(1 / 3);
    expect(excess({ drawn: { width: 50, height: 10 } } as never, logo.cuts[0]!.renditions[0]!, 1)).toBe(2);
    expect(result.breaches.find((b) => b.subjectId === 'scene')).toMatchObject({
      value: 0,
      limit: { measure: 'grounds' },
    });
  });

  it('counts no overlap where a panel has cut off what would lie across', () => {
    const box = (width: number, height: number, region: Region = 'screen') => ({
      x: middleOf({ kind: 'length', length: lu(width) }, region),
      y: middleOf({ kind: 'length', length: lu(height) }, region),
    });
    const none = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };
    const panel = (clip: boolean): PanelLayer => ({
      kind: 'panel',
      id: 'panel',
      name: 'Panel',
      role: 'other',
      visible: true,
      placing: box(60, 60),
      colour: { light: '#ffffff' },
      cornerRadius: lu(0),
      padding: none,
      clip,
    });
    // A band across the panel, and a column beside it which only the band reaches.
    const band = pictureLayer(box(200, 40, 'parent'), { parent: 'panel', fit: fitOf('stretch') });
    const placing = {
      x: { ...middleOf({ kind: 'length', length: lu(20) }, 'screen'), shift: lu(60) },
      y: middleOf({ kind: 'length', length: lu(100) }, 'screen'),
    } as const;
    const column = pictureLayer(placing, { id: 'column', fit: fitOf('stretch') });
    const across = (clip: boolean) => drawn([panel(clip), band, column]).measures.overlap;
    expect([across(false), across(true)]).toEqual([20 * 40, 0]);
  });

  it('in the dark finds a background that is light only on a ground that is not', () => {
    const ground = {
      kind: 'ground',
      id: 'g',
      name: 'G',
      role: 'background',
      visible: true,
      colour: { light: '#ffffff', dark: '#000000' },
    } as const;
    const background = pictureLayer({ x: edgesOf('screen'), y: edgesOf('screen') }, { role: 'background' });
    const unpaired = (colour: { light: string; dark?: string }, appearance: 'light' | 'dark') =>
      drawn([{ ...ground, colour }, background], { ...UPRIGHT, appearance }).result.breaches.filter(
        (b) => b.limit.measure === 'unpaired',
      ).length;
    expect(unpaired(ground.colour, 'dark')).toBe(1);
    expect(unpaired(ground.colour, 'light')).toBe(0);
    expect(unpaired({ light: '#ffffff' }, 'dark')).toBe(0);
  });
});
