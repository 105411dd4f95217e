import fc from 'fast-check';
import { percent, lu, type Length } from '../values/values';
import type { AxisRule, Placing, Region } from '../placing/rule';
import { isPlaced, Scene, type PictureLayer, type PlacedLayer } from '../scene/scene';
import type { SurveyInput } from '../survey/prepare';
import { surveyCase } from '../survey/survey';
import { edgesOf, inputOf, middleOf, pictureLayer, pictureOf, TURNED, UPRIGHT } from '../testing/scenes';
import { moveOn } from './move';

const natural = { kind: 'length', length: lu(80) } as const;
const pictures = [pictureOf('logo', { widthPx: 80, heightPx: 80, density: 1 })];
const sceneOf = (...layers: PictureLayer[]) => inputOf(layers, pictures);
const drawnAt = (input: SurveyInput, c = UPRIGHT) =>
  surveyCase(input, c).layers.find((l) => l.id === 'it')!.box;
const itOf = ({ layers }: Scene) => layers.find((l): l is PlacedLayer => l.id === 'it' && isPlaced(l))!;
const pinned = (
  kind: 'start' | 'end',
  offset: Length,
  region: Region = 'safe',
  side?: 'start' | 'end',
): AxisRule => ({
  kind,
  edge: { region, offset, ...(side && { side }) },
  extent: natural,
});

const distance: fc.Arbitrary<Length> = fc.oneof(
  fc.integer({ min: -200, max: 200 }).map(lu),
  fc.integer({ min: -600, max: 600 }).map((value) => ({ value, unit: 'px' as const })),
  fc.integer({ min: -40, max: 40 }).map(percent),
);
const region = fc.constantFrom<Region>('screen', 'safe', 'content', 'margins');
const along: fc.Arbitrary<AxisRule> = fc.oneof(
  fc.record({ kind: fc.constant('middle' as const), region, shift: distance, extent: fc.constant(natural) }),
  fc
    .tuple(
      fc.constantFrom('start' as const, 'end' as const),
      distance,
      region,
      fc.constantFrom('start', 'end', undefined),
    )
    .map(([kind, offset, from, side]) => pinned(kind, offset, from, side as 'start' | undefined)),
);
const way = fc.double({ min: -300, max: 300, noNaN: true });

/** The rule without the values of its distances: what a hand never changes. */
const shapeOf = (placing: Placing) =>
  JSON.stringify(placing, (key, value: unknown) =>
    (key === 'offset' || key === 'shift') && typeof value === 'object'
      ? (value as { unit?: string }).unit
      : value,
  );

describe('a layer that is moved by hand', () => {
  it('follows it to half a px, in its unit and against its region', () => {
    fc.assert(
      fc.property(
        along,
        along,
        way,
        way,
        fc.boolean(),
        fc.boolean(),
        (x, y, dx, dy, isTurned, isMirrored) => {
          const c = isTurned ? TURNED : UPRIGHT;
          const plain = sceneOf(pictureLayer({ x, y }));
          const input = isMirrored
            ? { ...plain, scene: { ...plain.scene, direction: 'rtl' as const } }
            : plain;
          const { scene, stays } = moveOn(input, c, 'it', { x: dx, y: dy });
          expect(stays).toEqual({});
          const [from, to] = [drawnAt(input, c), drawnAt({ ...input, scene }, c)];
          expect(Math.abs(to.x - from.x - dx) * c.screen.density).toBeLessThanOrEqual(0.5);
          expect(Math.abs(to.y - from.y - dy) * c.screen.density).toBeLessThanOrEqual(0.5);
          expect(shapeOf(itOf(scene).placing)).toBe(shapeOf(itOf(input.scene).placing));
          expect(() => Scene.parse(scene)).not.toThrow();
        },
      ),
    );
  });

  it('is said in numbers as round as the hand allows', () => {
    const input = sceneOf(pictureLayer({ x: middleOf(natural), y: pinned('start', percent(10)) }));
    const { scene } = moveOn(input, UPRIGHT, 'it', { x: 11.02, y: 40 });
    const { x, y } = itOf(scene).placing;
    expect(x).toMatchObject({ kind: 'middle', shift: { value: 11, unit: 'lu' } });
    expect(y.kind === 'start' && y.edge.offset).toMatchObject({ unit: '%' });
    expect(JSON.stringify(y)).toMatch(/"value":15(\.\d\d?)?,/);
  });

  it('stays along an axis whose rule pins both edges, and says why', () => {
    const input = sceneOf(pictureLayer({ x: edgesOf('screen'), y: pinned('end', lu(24)) }));
    const { scene, stays } = moveOn(input, UPRIGHT, 'it', { x: 30, y: -30 });
    expect(stays).toEqual({ x: 'It is pinned to both edges across.' });
    expect(itOf(scene).placing.x).toEqual(edgesOf('screen'));
    expect(drawnAt({ ...input, scene }).y).toBeCloseTo(drawnAt(input).y - 30);
  });

  it('stays where a named value says where it lies', () => {
    const value = { id: 'gap', name: 'gap', value: { value: 12, unit: 'lu' as const } };
    const plain = sceneOf(pictureLayer({ x: pinned('start', { named: 'gap' }), y: middleOf(natural) }));
    const input = { ...plain, named: [value] };
    const { scene, stays } = moveOn(input, UPRIGHT, 'it', { x: 30, y: 0 });
    expect(stays.x).toContain('a named value');
    expect(scene).toEqual(input.scene);
  });

  it('is moved by the rule that differs where that one holds, and by no other', () => {
    const usual: Placing = { x: middleOf(natural), y: middleOf(natural) };
    const layer = pictureLayer(usual, { when: [{ orientation: 'landscape', placing: usual }] });
    const input = sceneOf(layer);
    const turned = itOf(moveOn(input, TURNED, 'it', { x: 20, y: 0 }).scene);
    expect(turned.placing).toEqual(usual);
    expect(turned.when![0]!.placing!.x).toMatchObject({ shift: { value: 20 } });
    const upright = itOf(moveOn(input, UPRIGHT, 'it', { x: 20, y: 0 }).scene);
    expect(upright.when![0]!.placing).toEqual(usual);
    expect(upright.placing.x).toMatchObject({ shift: { value: 20 } });
  });

  it('says which layer is not there', () => {
    expect(() => moveOn(sceneOf(), UPRIGHT, 'it', { x: 1, y: 0 })).toThrow('not drawn on this screen');
  });
});
