import * as fc from 'fast-check';
import { rangeFor } from '@/core/map/range';
import { lineOf, pathOf, RATIO_LINES, scaleOf, ticksIn } from './map-scale';

const range = rangeFor([]);
const scale = scaleOf(range, { width: 600, height: 560 });

describe('the scale of the map', () => {
  it('leads there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 160, max: 2560, noNaN: true }),
        fc.double({ min: 200, max: 1600, noNaN: true }),
        (width, height) => {
          expect(scale.widthAt(scale.x(width))).toBeCloseTo(width, 6);
          expect(scale.heightAt(scale.y(height))).toBeCloseTo(height, 6);
        },
      ),
    );
  });

  it('fills its room one way, with the same step both ways: twice as wide is as far as twice as high', () => {
    expect(scale.width).toBeCloseTo(600, 6);
    expect(scale.height).toBeLessThanOrEqual(560);
    expect(scale.x(800) - scale.x(400)).toBeCloseTo(scale.y(400) - scale.y(800), 6);
    expect([scale.x(160), scale.y(200)]).toEqual([0, expect.closeTo(scale.height, 6)]);
  });

  it('has the line of each ratio on the map, from edge to edge', () => {
    for (const { ratio } of RATIO_LINES) {
      const { from, to } = lineOf(ratio, range);
      for (const end of [from, to]) {
        expect(end.width / end.height).toBeCloseTo(ratio, 9);
        expect(end.width).toBeGreaterThanOrEqual(range.width.low - 1e-9);
        expect(end.height).toBeLessThanOrEqual(range.height.high + 1e-9);
      }
    }
  });

  it('writes sizes within its edges, and pieces as one path', () => {
    expect(ticksIn({ low: 300, high: 900 })).toEqual([320, 480, 640, 800]);
    const piece = { outcome: 'fail' as const, points: [160, 200, 320, 200, 320, 400] };
    expect(pathOf([piece, piece], scale).match(/M/g)).toHaveLength(2);
    expect(pathOf([piece], scale)).toMatch(/^M0 450(\.\d)?L/);
  });
});
