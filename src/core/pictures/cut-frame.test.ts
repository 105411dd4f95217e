import fc from 'fast-check';
import { cutByFrame, cutFrame, marksWithin, resizedFrame } from './cut-frame';
import { filesToMake } from './making';
import type { KeepArea, Rendition } from './picture';

const area = (
  subject: string,
  x: number,
  y: number,
  width: number,
  height: number,
  weight = 1,
): KeepArea => ({
  subject,
  rect: { x, y, width, height },
  weight,
});
const MIDDLE = { x: 0.5, y: 0.5 };

describe('the frame of a cut', () => {
  it('is as large as its ratio allows, and lies at the focal point where nothing has to be seen', () => {
    const frame = cutFrame({ width: 2000, height: 1000 }, 1, {
      keepAreas: [],
      focalPoint: { x: 0.6, y: 0.5 },
    });
    expect(frame).toEqual({ x: expect.closeTo(0.35, 9) as number, y: 0, width: 0.5, height: 1 });
  });

  it('shows what has to be seen whole where that fits, however far from the focal point', () => {
    const lighthouse = area('Lighthouse', 0.05, 0.2, 0.1, 0.6);
    const frame = cutFrame({ width: 2000, height: 1000 }, 0.5, {
      keepAreas: [lighthouse],
      focalPoint: MIDDLE,
    });
    expect(cutByFrame(frame, [lighthouse])).toEqual([]);
    expect(frame.x).toBeCloseTo(0.05, 9);
  });

  it('shows the heavier of two that do not fit together', () => {
    const areas = [area('Boat', 0, 0, 0.2, 1), area('Mast', 0.8, 0, 0.2, 1, 3)];
    const frame = cutFrame({ width: 1000, height: 1000 }, 0.3, {
      keepAreas: areas,
      focalPoint: { x: 0, y: 0 },
    });
    expect(cutByFrame(frame, areas)).toEqual(['Boat']);
  });

  it('never shows less than any other place for it does, and has its ratio', () => {
    const share = fc.double({ min: 0, max: 0.8, noNaN: true });
    const side = fc.double({ min: 0.02, max: 0.2, noNaN: true });
    const areas = fc.array(
      fc
        .tuple(share, share, side, side, fc.integer({ min: 1, max: 4 }))
        .map(([x, y, w, h, weight]) => area('it', x, y, w, h, weight)),
      { maxLength: 4 },
    );
    const seen = (start: number, length: number, list: readonly KeepArea[]) =>
      list.reduce((sum, { rect: r, weight }) => {
        const common = Math.min(r.x + r.width, start + length) - Math.max(r.x, start);
        return sum + (weight * Math.max(0, common)) / r.width;
      }, 0);
    fc.assert(
      fc.property(areas, fc.double({ min: 0.2, max: 0.9, noNaN: true }), share, (keepAreas, ratio, focal) => {
        const frame = cutFrame({ width: 100, height: 100 }, ratio, {
          keepAreas,
          focalPoint: { x: focal, y: 0.5 },
        });
        expect(frame.width / frame.height).toBeCloseTo(ratio, 9);
        expect(frame.x).toBeGreaterThanOrEqual(0);
        expect(frame.x + frame.width).toBeLessThanOrEqual(1 + 1e-9);
        for (let i = 0; i <= 50; i++) {
          const other = (i / 50) * (1 - frame.width);
          expect(seen(other, frame.width, keepAreas)).toBeLessThanOrEqual(
            seen(frame.x, frame.width, keepAreas) + 1e-6,
          );
        }
      }),
    );
  });

  it('keeps its ratio while its corner is drawn, and stays within the picture', () => {
    const frame = { x: 0.2, y: 0.1, width: 0.4, height: 0.8 };
    expect(resizedFrame(frame, { width: 0.2, height: 0.3 })).toMatchObject({ width: 0.2, height: 0.4 });
    const most = resizedFrame(frame, { width: 0.9, height: 0.9 });
    expect([most.width, most.height]).toEqual([expect.closeTo(0.45, 9), expect.closeTo(0.9, 9)]);
  });

  it('takes its marks along, as they lie on it', () => {
    const marks = {
      keepAreas: [area('In', 0.5, 0.5, 0.25, 0.25), area('Out', 0, 0, 0.1, 0.1)],
      focalPoint: { x: 0.75, y: 0.1 },
    };
    expect(marksWithin(marks, { x: 0.5, y: 0.5, width: 0.5, height: 0.5 })).toEqual({
      keepAreas: [area('In', 0, 0, 0.5, 0.5)],
      focalPoint: { x: 0.5, y: 0 },
    });
  });
});

describe('the files that are made of a master', () => {
  const master: Rendition = {
    hash: 'a'.repeat(64),
    widthPx: 900,
    heightPx: 600,
    density: 3,
    appearance: 'light',
    vector: false,
  };

  it('have the px of their density, of all of it or of a part, and are said to be enlarged', () => {
    expect(filesToMake({ master, densities: [4, 1] })).toEqual([
      { density: 1, widthPx: 300, heightPx: 200, enlarged: null },
      { density: 4, widthPx: 1200, heightPx: 800, enlarged: 4 / 3 },
    ]);
    const part = { x: 0.5, y: 0, width: 0.5, height: 1 };
    expect(filesToMake({ master, part, densities: [2] })).toEqual([
      { density: 2, widthPx: 300, heightPx: 400, enlarged: null },
    ]);
    const [drawn] = filesToMake({ master: { ...master, vector: true }, densities: [4] });
    expect(drawn!.enlarged).toBeNull();
  });
});
