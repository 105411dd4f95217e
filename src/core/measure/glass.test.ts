import fc from 'fast-check';
import { area, type Rect } from '../geometry/rect';
import type { RoundRect } from '../screens/outline';
import { areaInRound, hiddenByGlass } from './glass';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const rect = fc.record({
  x: between(-20, 90),
  y: between(-20, 90),
  width: between(1, 90),
  height: between(1, 90),
});

/** Whether a point lies in a rectangle with round corners. */
function isIn({ rect: r, radius }: RoundRect, x: number, y: number): boolean {
  if (x < r.x || y < r.y || x > r.x + r.width || y > r.y + r.height) return false;
  const dx = Math.max(r.x + radius - x, x - (r.x + r.width - radius), 0);
  const dy = Math.max(r.y + radius - y, y - (r.y + r.height - radius), 0);
  return Math.hypot(dx, dy) <= radius || dx === 0 || dy === 0;
}

describe('the area within round corners', () => {
  it('is what a fine grid of points counts', () => {
    fc.assert(
      fc.property(rect, between(0, 40), (r: Rect, radius) => {
        const round = { rect: { x: 5, y: 8, width: 100, height: 80 }, radius };
        const N = 120;
        let count = 0;
        for (let i = 0; i < N; i++)
          for (let j = 0; j < N; j++)
            if (isIn(round, r.x + ((i + 0.5) / N) * r.width, r.y + ((j + 0.5) / N) * r.height)) count++;
        expect(areaInRound(r, round) / area(r)).toBeCloseTo(count / (N * N), 1.5);
      }),
    );
  });

  it('of a whole disc is π r², of its quarter a quarter', () => {
    const disc = { rect: { x: 0, y: 0, width: 20, height: 20 }, radius: 10 };
    expect(areaInRound({ x: -5, y: -5, width: 50, height: 50 }, disc)).toBeCloseTo(Math.PI * 100, 9);
    expect(areaInRound({ x: 0, y: 0, width: 10, height: 10 }, disc)).toBeCloseTo(Math.PI * 25, 9);
    expect(areaInRound({ x: 30, y: 0, width: 10, height: 10 }, disc)).toBe(0);
  });
});

it('the glass hides what lies under a cutout and in a corner, apart', () => {
  const outline = {
    glass: { rect: { x: 0, y: 0, width: 100, height: 200 }, radius: 20 },
    holes: [{ rect: { x: 40, y: 10, width: 20, height: 10 }, radius: 5 }],
  };
  const corner = hiddenByGlass({ x: 0, y: 0, width: 20, height: 20 }, outline);
  expect(corner.corner).toBeCloseTo(400 - Math.PI * 100, 9);
  expect(corner.cutout).toBe(0);
  const hole = hiddenByGlass({ x: 30, y: 5, width: 40, height: 30 }, outline);
  expect(hole).toEqual({ corner: 0, cutout: 200 - 100 + Math.PI * 25 });
});
