import fc from 'fast-check';
import { bottom, fromSize, inset, mirrored, right, type Size } from '../geometry/rect';
import { lu, percent } from '../values/values';
import { heldBy, type Hold } from './convert';
import { PlacingCycle, resolveBoxes, type Placeable } from './resolve';
import * as any from '../testing/arbitraries';
import { Placing, type AxisRule, type Edge, type Extent, type Region } from './rule';

const screen = fromSize({ width: 400, height: 800 });
const safe = inset(screen, { left: 0, right: 0, top: 50, bottom: 30 });
const regions = { screen, safe, content: safe, margins: safe };
const resolve = (...layers: Placeable[]) => resolveBoxes(layers, { regions, density: 2 });

const hug: Extent = { kind: 'hug' };
const length = (value: number): Extent => ({ kind: 'length', length: lu(value) });
const edge = (region: Region, offset = 0, side?: 'start' | 'end'): Edge => ({
  region,
  offset: lu(offset),
  ...(side && { side }),
});
const start = (extent: Extent, at = edge('parent')): AxisRule => ({ kind: 'start', edge: at, extent });
const end = (extent: Extent, at = edge('screen')): AxisRule => ({ kind: 'end', edge: at, extent });
const middle = (extent: Extent, region: Region = 'safe'): AxisRule => ({
  kind: 'middle',
  region,
  shift: lu(0),
  extent,
});
const between = (region: Region): AxisRule => ({ kind: 'edges', start: edge(region), end: edge(region) });
const padding = { left: 10, right: 20, top: 5, bottom: 15 };
const panel = (x: AxisRule, y: AxisRule, more: Partial<Placeable> = {}): Placeable => ({
  id: 'panel',
  placing: { x, y },
  padding,
  ...more,
});
const child = (id: string, x: AxisRule, y: AxisRule, more: Partial<Placeable> = {}): Placeable => ({
  id,
  parent: 'panel',
  placing: { x, y },
  ...more,
});

describe('a panel', () => {
  it('gives what it holds its box without the padding', () => {
    const boxes = resolve(
      panel(middle(length(200)), middle(length(100))),
      child('a', between('parent'), between('parent')),
    );
    expect(boxes.get('panel')).toEqual({ x: 100, y: 360, width: 200, height: 100 });
    expect(boxes.get('a')).toEqual({ x: 110, y: 365, width: 170, height: 80 });
  });

  it.each([
    ['start', start(hug, edge('screen', 30)), 30],
    ['middle', middle(hug, 'screen'), (400 - 130) / 2],
    ['end', end(hug), 270],
  ])('hugs what it holds, held by its %s', (_, x, at) => {
    const boxes = resolve(
      panel(x, middle(length(50))),
      child('a', start(length(60)), start(length(10))),
      child('b', start(length(30), edge('layer:a', 10, 'end')), start(length(10))),
    );
    // 10 of padding, 60, a gap of 10, 30, and 20 of padding.
    expect(boxes.get('panel')).toMatchObject({ x: at, width: 130 });
    expect(boxes.get('b')).toMatchObject({ x: at + 80, width: 30 });
  });

  it('hugs a panel that hugs', () => {
    const inner: Placeable = {
      id: 'inner',
      parent: 'panel',
      placing: { x: start(hug), y: start(hug) },
      padding: { left: 1, right: 1, top: 1, bottom: 1 },
    };
    const leaf = { ...child('leaf', start(length(40)), start(length(20))), parent: 'inner' };
    const boxes = resolve(panel(middle(hug, 'screen'), middle(hug, 'screen')), inner, leaf);
    expect(boxes.get('panel')).toMatchObject({ width: 72, height: 42 });
    expect(boxes.get('leaf')).toEqual({ x: 164 + 11, y: 379 + 6, width: 40, height: 20 });
  });

  it('takes a size within its bounds, and a size from a given shape', () => {
    const bounded: Extent = { kind: 'hug', min: { length: lu(200) } };
    const held = child('a', start(length(60)), start(length(10)));
    expect(resolve(panel(middle(bounded), middle(hug)), held).get('panel')).toMatchObject({
      width: 200,
      height: 30,
    });
    const shaped = panel(middle(hug), middle({ kind: 'from-ratio' }));
    shaped.placing.ratio = { value: 2, strict: true };
    expect(resolve(shaped, held).get('panel')).toMatchObject({ width: 90, height: 45 });
  });

  it('collapses when it holds nothing that has an extent and is shown', () => {
    const hugging = panel(middle(hug), middle(hug));
    expect(resolve(hugging).get('panel')).toMatchObject({ width: 0, height: 0 });
    const hidden = child('a', start(length(60)), start(length(0)), { visible: false });
    expect(resolve(hugging, hidden).get('panel')).toMatchObject({ width: 0, height: 0 });
    const flat = child('a', start(length(60)), start(length(0)));
    expect(resolve(hugging, flat).get('panel')).toMatchObject({ width: 90, height: 0 });
  });

  it.each([
    ['the end', end(length(10), edge('parent'))],
    ['both edges', between('parent')],
    ['the middle', middle(length(10), 'parent')],
    ['a share', start({ kind: 'length', length: percent(50), of: 'parent' })],
    ['a share as a distance', start(length(10), { region: 'parent', offset: percent(5) })],
  ])('that hugs cannot hold what needs %s of it', (_, x) => {
    const layers = [panel(middle(hug), middle(length(50))), child('a', x, start(length(10)))];
    expect(() => resolve(...layers)).toThrow(new PlacingCycle(['panel', 'a', 'panel']));
  });

  it('that hugs may hold what is measured from the screen, once its own start is known', () => {
    const held = child('a', start(length(40), edge('screen', 100)), start(length(10)));
    expect(
      resolve(panel(start(hug, edge('screen', 30)), middle(length(50))), held).get('panel'),
    ).toMatchObject({
      x: 30,
      width: 130,
    });
    expect(() => resolve(panel(middle(hug), middle(length(50))), held)).toThrow(PlacingCycle);
  });
});

describe('a text', () => {
  /** 40 letters of 5: as many lines as its width asks for. */
  const text = (placing: Placing): Placeable => ({
    id: 'text',
    placing,
    text: {
      widest: (within) => Math.min(200, Math.max(5, Math.floor(within / 5) * 5)),
      height: (width) => Math.ceil(200 / Math.max(5, width)) * 12,
    },
  });
  const natural: Extent = { kind: 'natural' };

  it('is as wide as its widest line, and as high as its lines at the width that it gets', () => {
    expect(resolve(text({ x: middle(natural), y: middle(natural) })).get('text')).toMatchObject({
      width: 200,
      height: 12,
    });
    const held = { x: middle({ ...natural, max: { length: lu(83) } }), y: middle(natural) };
    expect(resolve(text(held)).get('text')).toMatchObject({ width: 80, height: 36 });
    const pinned = { x: start(length(100), edge('screen')), y: middle(natural) };
    expect(resolve(text(pinned)).get('text')).toMatchObject({ width: 100, height: 24 });
  });

  it('has no shape of its own', () => {
    const placing: Placing = {
      x: middle(natural),
      y: middle({ kind: 'from-ratio' }),
      ratio: { value: 'own', strict: true },
    };
    expect(() => resolve(text(placing))).toThrow('“text” has no shape of its own');
  });
});

describe('a mirror', () => {
  it('gives back what is mirrored twice', () => {
    fc.assert(
      fc.property(any.rect(), fc.integer({ min: 1, max: 2000 }), (r, width) => {
        const twice = mirrored(mirrored(r, width), width);
        expect(twice.x).toBeCloseTo(r.x, 6);
        expect(right(mirrored(r, width))).toBeCloseTo(width - r.x, 6);
        expect(bottom(mirrored(r, width))).toBe(bottom(r));
      }),
    );
  });
});

describe('a layer held otherwise', () => {
  const holds: Hold[] = ['edges', 'start', 'middle', 'end'];

  it('is held so, by a rule that can be placed, and lies in the same region', () => {
    const natural: Size = { width: 200, height: 100 };
    fc.assert(
      fc.property(
        any.placing,
        fc.constantFrom('x' as const, 'y' as const),
        fc.constantFrom(...holds),
        (p, axis, hold) => {
          fc.pre(Placing.safeParse(p).success);
          const next = heldBy(p, axis, hold);
          expect(next[axis].kind).toBe(hold);
          expect(Placing.safeParse(next).success).toBe(true);
          expect(heldBy(p, axis, p[axis].kind)).toBe(p);
        },
      ),
    );
    const full: Placing = { x: between('safe'), y: between('safe') };
    const box = resolve({ id: 'a', natural, placing: heldBy(full, 'x', 'middle') }).get('a');
    expect(box).toEqual({ x: 100, y: 50, width: 200, height: 720 });
  });
});
