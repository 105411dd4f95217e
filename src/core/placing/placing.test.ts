import fc from 'fast-check';
import { fromSize, inset, right, bottom } from '../geometry/rect';
import { lu, percent } from '../values/values';
import { boundedKeepingShape } from './bounds';
import { PlacingCycle, resolveBoxes, type Placeable } from './resolve';
import { Placing, withoutIdleShape, type AxisRule, type Extent, type Region } from './rule';

const screen = fromSize({ width: 400, height: 800 });
const safe = inset(screen, { left: 10, right: 20, top: 50, bottom: 30 });
const regions = {
  screen,
  safe,
  content: safe,
  margins: inset(safe, { left: 5, right: 5, top: 5, bottom: 5 }),
};
const resolve = (...layers: Placeable[]) => resolveBoxes(layers, { regions, density: 2 });
const edges = (region: Region, start = 0, end = 0): AxisRule => ({
  kind: 'edges',
  start: { region, offset: lu(start) },
  end: { region, offset: lu(end) },
});
const length = (value: number, more: Partial<Extent> = {}): Extent =>
  ({ kind: 'length', length: lu(value), ...more }) as Extent;
const middle = (extent: Extent, region: Region = 'safe', shift = lu(0)): AxisRule => ({
  kind: 'middle',
  region,
  shift,
  extent,
});
const ratio: Extent = { kind: 'from-ratio' };
const own = { value: 'own', strict: true } as const;
const picture = { width: 200, height: 100 };

describe('placing', () => {
  it('pins edges to any region, inwards positive', () => {
    const box = resolve({ id: 'a', placing: { x: edges('screen'), y: edges('safe', 4, 6) } }).get('a');
    expect(box).toEqual({ x: 0, y: 54, width: 400, height: 710 });
  });

  it('gives crossed edges no extent, at the start edge', () => {
    const box = resolve({ id: 'a', placing: { x: edges('screen', 300, 300), y: edges('screen') } }).get('a');
    expect(box).toMatchObject({ x: 300, width: 0 });
  });

  it('centres in a region, shift to the right and down, % of that region', () => {
    const placing = { x: middle(length(100)), y: middle(length(60), 'safe', percent(-10)) };
    expect(resolve({ id: 'a', placing }).get('a')).toEqual({ x: 145, y: 308, width: 100, height: 60 });
  });

  it('takes the side of another region when asked, away from it positive', () => {
    const boxes = resolve(
      {
        id: 'label',
        placing: {
          x: middle(length(50), 'layer:logo'),
          y: {
            kind: 'start',
            edge: { region: 'layer:logo', side: 'end', offset: lu(20) },
            extent: length(10),
          },
        },
      },
      { id: 'logo', placing: { x: middle(length(100)), y: middle(length(100)) } },
    );
    expect(boxes.get('label')!.y).toBe(bottom(boxes.get('logo')!) + 20);
  });

  it('holds a strict ratio against the bounds of either axis, min before max', () => {
    const run = (x: Extent, y: Extent) =>
      resolve({ id: 'a', natural: picture, placing: { x: middle(x), y: middle(y), ratio: own } }).get('a');
    expect(run(length(300, { max: { length: lu(220) } }), ratio)).toMatchObject({ width: 220, height: 110 });
    expect(run(length(300), { kind: 'from-ratio', max: { length: lu(50) } })).toMatchObject({
      width: 100,
      height: 50,
    });
    const crossed = run(length(300, { min: { length: lu(240) } }), {
      kind: 'from-ratio',
      max: { length: lu(50) },
    });
    expect(crossed).toMatchObject({ width: 240, height: 120 });
  });

  it('lets a yielding ratio give way to the bounds of the axis that follows', () => {
    const placing: Placing = {
      x: middle(length(300)),
      y: middle({ kind: 'from-ratio', max: { length: lu(50) } }),
      ratio: { value: 'own', strict: false },
    };
    expect(resolve({ id: 'a', natural: picture, placing }).get('a')).toMatchObject({
      width: 300,
      height: 50,
    });
  });

  it('follows pinned edges strictly, whatever the bounds of the other axis', () => {
    const placing: Placing = {
      x: edges('screen'),
      y: middle({ kind: 'from-ratio', max: { length: lu(50) } }),
      ratio: own,
    };
    expect(resolve({ id: 'a', natural: picture, placing }).get('a')).toMatchObject({
      width: 400,
      height: 200,
    });
  });

  it('keeps the shape of any picture in any bounds when strict', () => {
    const positive = fc.double({ min: 1, max: 2000, noNaN: true });
    fc.assert(
      fc.property(positive, positive, positive, positive, positive, (w, h, size, min, max) => {
        const x = length(size, { min: { length: lu(min) } });
        const y: Extent = { kind: 'from-ratio', max: { length: lu(max) } };
        const placing: Placing = { x: middle(x), y: middle(y), ratio: own };
        const box = resolve({ id: 'a', natural: { width: w, height: h }, placing }).get('a')!;
        expect(box.width / box.height / (w / h)).toBeCloseTo(1, 9);
        expect((box.x + right(box)) / 2).toBeCloseTo(safe.x + safe.width / 2, 6);
      }),
    );
  });
});

describe('bounds of both axes', () => {
  const positive = fc.double({ min: 1, max: 2000, noNaN: true });
  const sizes = fc.record({ width: positive, height: positive });
  const ranges = fc.record({ low: positive, more: fc.double({ min: 0, max: 1500, noNaN: true }) });

  it('are kept, and the shape with them wherever they leave room for it', () => {
    fc.assert(
      fc.property(sizes, ranges, ranges, (natural, w, h) => {
        const bounds = {
          minWidth: w.low,
          maxWidth: w.low + w.more,
          minHeight: h.low,
          maxHeight: h.low + h.more,
        };
        const { width, height } = boundedKeepingShape(natural, bounds);
        expect(width).toBeGreaterThanOrEqual(bounds.minWidth - 1e-9);
        expect(width).toBeLessThanOrEqual(bounds.maxWidth + 1e-9);
        expect(height).toBeGreaterThanOrEqual(bounds.minHeight - 1e-9);
        expect(height).toBeLessThanOrEqual(bounds.maxHeight + 1e-9);
        const shape = natural.width / natural.height;
        const possible =
          bounds.minWidth / bounds.maxHeight <= shape && shape <= bounds.maxWidth / bounds.minHeight;
        if (possible) expect(width / height / shape).toBeCloseTo(1, 6);
      }),
    );
  });

  it('make a natural size give way in its shape only where they contradict each other', () => {
    const placing: Placing = {
      x: middle({ kind: 'natural', min: { length: lu(300) } }),
      y: middle({ kind: 'natural', max: { length: lu(50) } }),
      ratio: { value: 'own', strict: false },
    };
    expect(resolve({ id: 'a', natural: picture, placing }).get('a')).toMatchObject({
      width: 300,
      height: 50,
    });
  });
});

describe('what cannot be placed', () => {
  const beside = (id: string, of: string): Placeable => ({
    id,
    placing: { x: edges(`layer:${of}`), y: edges('screen') },
  });

  it('names a circle of layers in order', () => {
    expect(() => resolve(beside('a', 'b'), beside('b', 'c'), beside('c', 'a'))).toThrow(
      new PlacingCycle(['a', 'b', 'c', 'a']),
    );
  });

  it('is no circle when the two axes lean on each other', () => {
    const boxes = resolve(
      { id: 'a', placing: { x: edges('layer:b'), y: edges('safe') } },
      { id: 'b', placing: { x: edges('safe'), y: edges('layer:a') } },
    );
    expect(boxes.get('a')).toEqual(boxes.get('b'));
  });

  it('names a layer that is not there', () => {
    expect(() => resolve(beside('a', 'gone'))).toThrow('“gone”');
  });

  it.each([
    [{ x: middle(ratio), y: middle(ratio), ratio: own }, /cannot both follow/],
    [{ x: middle(ratio), y: middle(length(5)) }, /needs a ratio/],
  ])('is refused as a rule', (placing, message) => {
    expect(Placing.safeParse(placing).error?.issues[0]?.message).toMatch(message);
  });
});

describe('both extents natural', () => {
  const big = { width: 800, height: 600 };
  const sized = (x: Partial<Extent>, y: Partial<Extent>, strict: boolean) => {
    const placing = Placing.parse({
      x: middle({ kind: 'natural', ...x } as Extent),
      y: middle({ kind: 'natural', ...y } as Extent),
      ratio: { value: 'own', strict },
    });
    const { width, height } = resolve({ id: 'a', natural: big, placing }).get('a')!;
    return [width, height];
  };
  const at = (value: number) => ({ length: lu(value) });

  it('keep a strict shape under bounds of either axis', () => {
    expect(sized({ max: at(100) }, {}, true)).toEqual([100, 75]);
    expect(sized({}, { min: at(1200) }, true)).toEqual([1600, 1200]);
    expect(sized({}, {}, true)).toEqual([800, 600]);
  });

  it('keep it also where bounds contradict one another: min wins', () => {
    expect(sized({ max: at(100) }, { min: at(300) }, true)).toEqual([400, 300]);
  });

  it('give way only where bounds contradict one another when the shape is not strict', () => {
    expect(sized({ max: at(100) }, {}, false)).toEqual([100, 75]);
    expect(sized({ max: at(100) }, { min: at(300) }, false)).toEqual([100, 300]);
  });
});

describe('two extents and a shape', () => {
  const two = { x: middle(length(200)), y: middle(length(200)) };
  it('contradict one another: there is no such rule', () => {
    const message = /Width and height are given: there is no shape to keep/;
    expect(Placing.safeParse({ ...two, ratio: { value: 2, strict: true } }).error?.message).toMatch(message);
    expect(Placing.safeParse({ ...two, ratio: own }).error?.message).toMatch(message);
    expect(
      Placing.safeParse({ x: edges('screen'), y: middle(length(40)), ratio: own }).error?.message,
    ).toMatch(message);
    expect(Placing.safeParse({ ...two, x: middle({ kind: 'natural' }), ratio: own }).error?.message).toMatch(
      message,
    );
    expect(Placing.safeParse({ ...two, x: middle(ratio), ratio: own }).success).toBe(true);
  });

  it('lose the shape when the second one is given', () => {
    expect(withoutIdleShape({ ...two, ratio: own })).toEqual(two);
    const follows = { ...two, x: middle(ratio), ratio: own };
    expect(withoutIdleShape(follows)).toBe(follows);
  });
});
