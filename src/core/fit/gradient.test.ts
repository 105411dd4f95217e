import fc from 'fast-check';
import { rect } from '../testing/arbitraries';
import { Gradient } from '../values/paint';
import { over } from '../pixels/colour';
import { rgbaOf } from '../pixels/raster';
import { colourer, placePaint, straightStops, type ColourStop } from './gradient';

const stops = [
  { colour: { light: '#ffffff', dark: '#000000' }, at: 0 },
  { colour: { named: 'sea' }, at: 100 },
];
const named = [{ id: 'sea', name: 'sea', value: { light: '#12303b', dark: '#06141b' } }];
const box = { x: 10, y: 20, width: 200, height: 100 };
const linear = (angle: number, b = box) => {
  const placed = placePaint({ gradient: 'linear', angle, stops }, b, 'light', named);
  if (placed.kind !== 'linear') throw new Error('It is a linear gradient');
  return placed;
};

describe('a gradient', () => {
  it('runs as CSS has it: 0 to the top, clockwise', () => {
    expect(linear(180).from.y).toBeCloseTo(20, 9);
    expect(linear(180).to.y).toBeCloseTo(120, 9);
    expect(linear(90).from.x).toBeCloseTo(10, 9);
    expect(linear(90).to.x).toBeCloseTo(210, 9);
    expect(linear(0).to.y).toBeCloseTo(20, 9);
  });

  it('gives the corners in its direction the first and the last colour exactly', () => {
    fc.assert(
      fc.property(rect(), fc.integer({ min: 0, max: 359 }), (b, angle) => {
        const { from, to } = linear(angle, b);
        const [dx, dy] = [to.x - from.x, to.y - from.y];
        const along = (x: number, y: number) => ((x - from.x) * dx + (y - from.y) * dy) / (dx * dx + dy * dy);
        const corners = [b.x, b.x + b.width].flatMap((x) => [b.y, b.y + b.height].map((y) => along(x, y)));
        expect(Math.min(...corners)).toBeCloseTo(0, 6);
        expect(Math.max(...corners)).toBeCloseTo(1, 6);
      }),
    );
  });

  it('ends at the farthest corner when it is round', () => {
    const round = { gradient: 'radial' as const, centre: { x: 0, y: 50 }, stops };
    expect(placePaint(round, box, 'light', named)).toMatchObject({
      centre: { x: 10, y: 70 },
      radius: Math.hypot(200, 50),
    });
  });

  it('takes its colours of the appearance, and only one over no area', () => {
    expect(placePaint({ gradient: 'linear', angle: 0, stops }, box, 'dark', named)).toMatchObject({
      stops: [
        { at: 0, colour: '#000000' },
        { at: 1, colour: '#06141b' },
      ],
    });
    const none = { ...box, width: 0 };
    expect(placePaint({ gradient: 'linear', angle: 0, stops }, none, 'light', named)).toEqual({
      kind: 'colour',
      colour: '#12303b',
    });
  });

  it('is refused with its colours out of order', () => {
    const parsed = Gradient.safeParse({ gradient: 'linear', angle: 0, stops: stops.toReversed() });
    expect(parsed.error?.issues[0]?.message).toContain('follow one another');
  });
});

/** What a surface that mixes without premultiplying makes of stops: the canvas, and SVG. */
function straight(list: readonly ColourStop[], at: number) {
  const next = list.findIndex((s) => s.at > at);
  if (next <= 0) return rgbaOf((next === 0 ? list[0] : list.at(-1))!.colour);
  const [from, to] = [list[next - 1]!, list[next]!];
  const [a, b] = [rgbaOf(from.colour), rgbaOf(to.colour)];
  const share = (at - from.at) / (to.at - from.at);
  const mix = (p: number, q: number) => p + (q - p) * share;
  return { r: mix(a.r, b.r), g: mix(a.g, b.g), b: mix(a.b, b.b), a: mix(a.a, b.a) };
}

describe('colours between stops of different alpha', () => {
  const across = (from: string, to: string) =>
    placePaint(
      {
        gradient: 'linear',
        angle: 90,
        stops: [
          { colour: { light: from }, at: 0 },
          { colour: { light: to }, at: 100 },
        ],
      },
      { x: 0, y: 0, width: 100, height: 10 },
      'light',
      [],
    );

  // CSS Images 3 §3.4: white to see-through black over red, in the middle.
  it('are mixed premultiplied: white to nothing stays white', () => {
    const paint = across('#ffffff', '#00000000');
    const laid = over(colourer(paint)({ x: 50, y: 5 }), { r: 255, g: 0, b: 0 });
    expect([laid.r, laid.g, laid.b].map(Math.round)).toEqual([255, 128, 128]);
    const early = over(colourer(paint)({ x: 11, y: 5 }), { r: 255, g: 0, b: 0 });
    expect([early.r, early.g, early.b].map(Math.round)).toEqual([255, 227, 227]);
  });

  const colour = fc
    .tuple(fc.integer({ min: 0, max: 0xffffff }), fc.constantFrom(0, 1, 40, 128, 200, 255))
    .map(([rgb, a]) => `#${rgb.toString(16).padStart(6, '0')}${a.toString(16).padStart(2, '0')}`);

  it('are the same on surfaces that do not premultiply, over any ground', () => {
    fc.assert(
      fc.property(colour, colour, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, at) => {
        const paint = across(from, to);
        if (paint.kind !== 'linear') throw new Error('It is linear');
        const stops = straightStops(paint.stops);
        expect(stops.every((s, i) => i === 0 || s.at >= stops[i - 1]!.at)).toBe(true);
        for (const ground of [0, 255]) {
          const below = { r: ground, g: ground, b: ground };
          const exact = over(colourer(paint)({ x: at * 100, y: 5 }), below);
          const drawn = over(straight(stops, at), below);
          for (const c of ['r', 'g', 'b'] as const) expect(Math.abs(exact[c] - drawn[c])).toBeLessThan(1.6);
        }
      }),
    );
  });

  it('need no more stops where alpha is the same', () => {
    const paint = across('#ff000080', '#0000ff80');
    if (paint.kind !== 'linear') throw new Error('It is linear');
    expect(straightStops(paint.stops)).toEqual(paint.stops);
  });
});
