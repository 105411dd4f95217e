import fc from 'fast-check';
import { percent, lu, type Length } from '../values/values';
import type { AxisRule, Extent, Placing, Region } from '../placing/rule';
import { isPlaced, Scene, type PictureLayer, type PlacedLayer } from '../scene/scene';
import type { SurveyInput } from '../survey/prepare';
import { surveyCase } from '../survey/survey';
import { edgesOf, inputOf, middleOf, pictureLayer, pictureOf, UPRIGHT } from '../testing/scenes';
import { resizeOn, type Grip } from './resize';

const pictures = [pictureOf('logo', { widthPx: 120, heightPx: 80, density: 1 })];
const sceneOf = (...layers: PictureLayer[]) => inputOf(layers, pictures);
const drawnAt = (input: SurveyInput) => surveyCase(input, UPRIGHT).layers.find((l) => l.id === 'it')!.box;
const itOf = ({ layers }: Scene) => layers.find((l): l is PlacedLayer => l.id === 'it' && isPlaced(l))!;
const PX = 1 / UPRIGHT.screen.density;

const sized = (length: Length, of?: Extent & { kind: 'length' }): Extent => ({
  ...of,
  kind: 'length',
  length,
});
const region = fc.constantFrom<Region>('screen', 'safe', 'content');
/** Sizes between about 90 and 300 lu, so that a pull of up to 60 leaves something. */
const extent: fc.Arbitrary<Extent> = fc.oneof(
  fc.integer({ min: 130, max: 300 }).map((value) => sized(lu(value))),
  fc.integer({ min: 390, max: 900 }).map((value) => sized({ value, unit: 'px' })),
  fc
    .tuple(
      fc.integer({ min: 35, max: 70 }),
      fc.constantFrom<'screen' | 'safe' | 'short'>('screen', 'safe', 'short'),
    )
    .map(([value, of]): Extent => ({ kind: 'length', length: percent(value), of })),
);
const along: fc.Arbitrary<AxisRule> = fc.oneof(
  fc.tuple(region, extent).map(([from, e]) => middleOf(e, from)),
  fc
    .tuple(
      fc.constantFrom('start' as const, 'end' as const),
      fc.integer({ min: -40, max: 40 }),
      region,
      extent,
    )
    .map(([kind, offset, from, e]): AxisRule => ({
      kind,
      edge: { region: from, offset: offset % 2 ? lu(offset) : percent(offset / 4) },
      extent: e,
    })),
  fc.tuple(region, fc.integer({ min: 0, max: 30 })).map(([from, offset]): AxisRule => ({
    kind: 'edges',
    start: { region: from, offset: lu(offset) },
    end: { region: from, offset: percent(offset / 4) },
  })),
);
const side = fc.constantFrom<'start' | 'end'>('start', 'end');
const way = fc.double({ min: -30, max: 30, noNaN: true });

describe('a layer that is made larger or smaller by hand', () => {
  it('follows it with the edges that it holds, to half a px, and keeps what its rule is made of', () => {
    fc.assert(
      fc.property(along, along, side, side, way, way, fc.boolean(), (x, y, sx, sy, dx, dy, isMirrored) => {
        const plain = sceneOf(pictureLayer({ x, y }));
        const input = isMirrored ? { ...plain, scene: { ...plain.scene, direction: 'rtl' as const } } : plain;
        const grip: Grip = { x: sx, y: sy };
        const { scene, stays } = resizeOn(input, UPRIGHT, 'it', { grip, by: { x: dx, y: dy } });
        expect(stays).toEqual({});
        const [a, b] = [drawnAt(input), drawnAt({ ...input, scene })];
        const edge = (box: typeof a, s: 'start' | 'end') => (s === 'start' ? box.x : box.x + box.width);
        const low = (box: typeof a, s: 'start' | 'end') => (s === 'start' ? box.y : box.y + box.height);
        expect(Math.abs(edge(b, sx) - edge(a, sx) - dx)).toBeLessThanOrEqual(0.5 * PX + 1e-9);
        expect(Math.abs(low(b, sy) - low(a, sy) - dy)).toBeLessThanOrEqual(0.5 * PX + 1e-9);
        const { placing } = itOf(scene);
        expect([placing.x.kind, placing.y.kind]).toEqual([x.kind, y.kind]);
        expect(() => Scene.parse(scene)).not.toThrow();
      }),
    );
  });

  it('keeps a shape that is held, whichever side follows from it', () => {
    const ratio = { value: 1.5, strict: true };
    const follows: Extent = { kind: 'from-ratio' };
    fc.assert(
      fc.property(extent, side, side, way, way, fc.boolean(), (e, sx, sy, dx, dy, isByHeight) => {
        const [x, y] = isByHeight ? [follows, e] : [e, follows];
        const placing: Placing = { x: middleOf(x), y: middleOf(y), ratio };
        const input = sceneOf(pictureLayer(placing));
        const { scene, stays } = resizeOn(input, UPRIGHT, 'it', {
          grip: { x: sx, y: sy },
          by: { x: dx, y: dy },
        });
        expect(stays).toEqual({});
        const [a, b] = [drawnAt(input), drawnAt({ ...input, scene })];
        expect(b.width / b.height).toBeCloseTo(1.5);
        const went =
          Math.abs(dx) >= Math.abs(dy)
            ? { asked: dx, done: sx === 'start' ? b.x - a.x : b.x + b.width - a.x - a.width }
            : { asked: dy, done: sy === 'start' ? b.y - a.y : b.y + b.height - a.y - a.height };
        expect(Math.abs(went.done - went.asked)).toBeLessThanOrEqual(0.5 * PX + 1e-9);
        expect(itOf(scene).placing).toMatchObject({ ratio, [isByHeight ? 'x' : 'y']: { extent: follows } });
      }),
    );
  });

  it('stays where its size is not for the rule to say, and says why', () => {
    const by = { x: 20, y: 0 };
    const why = (x: AxisRule, y: AxisRule = middleOf(sized(lu(50)))) => {
      const input = sceneOf(pictureLayer({ x, y }));
      const { scene, stays } = resizeOn(input, UPRIGHT, 'it', { grip: { x: 'end' }, by });
      expect(scene).toEqual(input.scene);
      return stays.x;
    };
    expect(why(middleOf({ kind: 'natural' }))).toBe('It has its natural width: give it a size first.');
    const input = sceneOf(
      pictureLayer({
        x: middleOf({ kind: 'from-ratio' }),
        y: edgesOf('safe'),
        ratio: { value: 1, strict: true },
      }),
    );
    const { stays } = resizeOn(input, UPRIGHT, 'it', { grip: { x: 'end' }, by });
    expect(stays.x).toContain('follows from its height, which is pinned to both edges');
  });

  it('goes no further than its most, and says that it is there', () => {
    const most: Extent = { kind: 'length', length: lu(100), max: { length: lu(120) } };
    const input = sceneOf(pictureLayer({ x: middleOf(most), y: middleOf(sized(lu(50))) }));
    const { scene, stays } = resizeOn(input, UPRIGHT, 'it', { grip: { x: 'end' }, by: { x: 40, y: 0 } });
    expect(drawnAt({ ...input, scene }).width).toBe(120);
    expect(itOf(scene).placing.x).toMatchObject({
      extent: { length: { value: 120 }, max: { length: { value: 120 } } },
    });
    expect(stays.x).toContain('the most of its size');
  });
});
