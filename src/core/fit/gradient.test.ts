import fc from 'fast-check';
import { rect } from '../testing/arbitraries';
import { Gradient } from '../scene/paint';
import { placePaint } from './gradient';

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
