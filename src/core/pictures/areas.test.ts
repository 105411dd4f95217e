import fc from 'fast-check';
import { contains, type Rect } from '../geometry/rect';
import { areaBetween, areaWithin, movedArea, resizedArea } from './areas';
import { pxOfPart, trimmed } from './derive';
import type { Picture } from './picture';

const share = fc.double({ min: -0.5, max: 1.5, noNaN: true });
const point = fc.record({ x: share, y: share });
const whole: Rect = { x: 0, y: 0, width: 1 + 1e-12, height: 1 + 1e-12 };

describe('an area changed by hand', () => {
  it('stays in its picture and can be taken hold of, whatever is dragged', () => {
    fc.assert(
      fc.property(point, point, point, (a, b, by) => {
        const drawn = areaBetween(a, b);
        for (const r of [drawn, movedArea(drawn, by), resizedArea(drawn, by)]) {
          expect(contains(whole, r)).toBe(true);
          expect(Math.min(r.width, r.height)).toBeGreaterThan(0);
        }
        expect(movedArea(drawn, by)).toMatchObject({ width: drawn.width, height: drawn.height });
        expect(resizedArea(drawn, by)).toMatchObject({ x: drawn.x, y: drawn.y });
      }),
    );
  });

  it('is drawn between two points in any order', () => {
    const drawn = areaBetween({ x: 0.8, y: 0.1 }, { x: 0.3, y: 0.6 });
    expect(drawn).toEqual({ x: 0.3, y: 0.1, width: 0.5, height: 0.5 });
  });
});

describe('a trimmed picture', () => {
  const part = { x: 0.25, y: 0.5, width: 0.5, height: 0.5 };
  const rendition = {
    hash: 'a'.repeat(64),
    widthPx: 101,
    heightPx: 60,
    density: 2,
    appearance: 'dark' as const,
    vector: false,
  };
  const picture: Picture = {
    id: 'p',
    name: 'Logo',
    cuts: [
      {
        cut: 'any',
        focalPoint: { x: 0.5, y: 0.25 },
        keepAreas: [{ subject: 'Mark', rect: { x: 0.25, y: 0.75, width: 0.25, height: 0.25 }, weight: 1 }],
        renditions: [rendition],
      },
    ],
  };

  it('takes whole px, and none too few', () => {
    expect(pxOfPart(part, rendition)).toEqual({ x: 25, y: 30, width: 51, height: 30 });
    expect(pxOfPart({ x: 0, y: 0, width: 1, height: 1 }, rendition)).toMatchObject({
      width: 101,
      height: 60,
    });
  });

  it('keeps what is marked where it is on the drawing', () => {
    const file = { hash: 'b'.repeat(64), widthPx: 51, heightPx: 30, vector: false, bytes: 9 };
    const [cut] = trimmed(picture, new Map([['any' as const, part]]), new Map([[rendition.hash, file]])).cuts;
    expect(cut!.renditions).toEqual([{ ...file, density: 2, appearance: 'dark' }]);
    expect(cut!.keepAreas[0]!.rect).toEqual({ x: 0, y: 0.5, width: 0.5, height: 0.5 });
    expect(cut!.focalPoint).toEqual({ x: 0.5, y: 0 });
    expect(areaWithin({ x: 0, y: 0, width: 1, height: 1 }, part)).toEqual({
      x: 0,
      y: 0,
      width: 1,
      height: 1,
    });
  });
});
