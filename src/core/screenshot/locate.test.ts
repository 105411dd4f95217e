import fc from 'fast-check';
import type { Raster } from '../pixels/raster';
import { locate, type Displaced, type Located } from './locate';
import { unexplained } from './unexplained';
import type { Shown } from './shown';

function displaced(of: Shown, reach: number): Displaced | null {
  const found = locate(of, reach);
  return found.state === 'found' ? found.at : null;
}

const SIZE = { width: 130, height: 150 };
type Paint = (x: number, y: number) => readonly [number, number, number];

const painted = (paint: Paint, { width, height } = SIZE): Raster => {
  const data = new Uint8Array(width * height * 4).fill(255);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set(paint(x, y), (y * width + x) * 4);
  return { width, height, data };
};

/** A photo with waves in it, so that no two places are alike. */
const photo: Paint = (x, y) => [
  128 + 60 * Math.sin(x / 17 + y / 41) + 30 * Math.sin(y / 9),
  120 + 70 * Math.sin(y / 23 - x / 31),
  90 + 40 * Math.cos(x / 13),
];
interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
/** A mark of two colours over something, its edges between px where they fall there. */
const over =
  (ground: Paint, { x: left, y: top, width, height }: Box): Paint =>
  (x, y) => {
    const part = (from: number, to: number, at: number) =>
      Math.max(0, Math.min(to, at + 1) - Math.max(from, at));
    const covered = part(left, left + width, x) * part(top, top + height, y);
    const colour = (x - left) / width + (y - top) / height < 1 ? [250, 240, 220] : [20, 70, 90];
    return ground(x, y).map((v, c) => v * (1 - covered) + colour[c]! * covered) as unknown as [
      number,
      number,
      number,
    ];
  };

const BOX: Box = { x: 42, y: 52, width: 44, height: 36 };
const none = () => new Uint8Array(SIZE.width * SIZE.height);
const shown = (shot: Raster, more: Partial<Shown> = {}): Shown => ({
  whole: painted(over(photo, BOX)),
  without: painted(photo),
  shot,
  ignored: none(),
  ...more,
});

describe('how far a layer lies from where it is ruled', () => {
  it('is nothing where it is drawn as it is', () => {
    const found = displaced(shown(painted(over(photo, BOX))), 20)!;
    expect(found.x).toBeCloseTo(0, 1);
    expect(found.y).toBeCloseTo(0, 1);
    for (const off of Object.values(found.edges)) expect(off).toBeCloseTo(0, 1);
  });

  it('is by how much it was shifted, at each edge', () => {
    fc.assert(
      fc.property(fc.integer({ min: -16, max: 16 }), fc.integer({ min: -16, max: 16 }), (x, y) => {
        const found = displaced(shown(painted(over(photo, { ...BOX, x: BOX.x + x, y: BOX.y + y }))), 20)!;
        expect(Math.abs(found.x - x)).toBeLessThan(0.3);
        expect(Math.abs(found.y - y)).toBeLessThan(0.3);
        for (const side of ['left', 'right'] as const)
          expect(Math.abs(found.edges[side]! - x)).toBeLessThan(0.5);
        for (const side of ['top', 'bottom'] as const)
          expect(Math.abs(found.edges[side]! - y)).toBeLessThan(0.5);
      }),
      { numRuns: 8 },
    );
  });

  it('tells one that is larger from one that is moved', () => {
    const grown = { x: BOX.x - 4, y: BOX.y, width: BOX.width + 8, height: BOX.height };
    const { edges } = displaced(shown(painted(over(photo, grown))), 20)!;
    expect(edges.left).toBeCloseTo(-4, 0);
    expect(edges.right).toBeCloseTo(4, 0);
    expect(Math.abs(edges.top!)).toBeLessThan(0.5);
    expect(Math.abs(edges.bottom!)).toBeLessThan(0.5);
  });

  it('is not told by an edge of something that hides its own', () => {
    const up = over(photo, { ...BOX, y: BOX.y - 13 });
    // It was pushed under a band that reaches 7 px into it.
    const hidden = painted((x, y) => (y < BOX.y - 6 ? [250, 250, 250] : up(x, y)));
    const found = displaced(shown(hidden), 20)!;
    expect(Math.abs(found.y + 13)).toBeLessThan(0.5);
    expect(Math.abs(found.x)).toBeLessThan(0.5);
    expect(found.edges.top === null || Math.abs(found.edges.top + 13) < 1).toBe(true);
    expect(found.edges.bottom).toBeCloseTo(-13, 0);
  });

  it('is seen through noise, and past what is left out', () => {
    let seed = 1;
    const noise = () => ((seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648 - 0.5) * 16;
    const lower = painted((x, y) => {
      const [r, g, b] = over(photo, { ...BOX, y: BOX.y + 3 })(x, y);
      const clamp = (v: number) => Math.max(0, Math.min(255, v + noise()));
      return y < 20 ? [0, 0, 0] : [clamp(r), clamp(g), clamp(b)];
    });
    const ignored = none().fill(1, 0, 20 * SIZE.width);
    const found = displaced(shown(lower, { ignored }), 20)!;
    expect(Math.abs(found.y - 3)).toBeLessThan(0.5);
    expect(Math.abs(found.x)).toBeLessThan(0.5);
  });

  it('is found of a photo that fills the screen, whose edges are those of the screen', () => {
    const ground: Paint = () => [10, 20, 30];
    const moved: Paint = (x, y) => photo(x - 5, y + 2);
    const found = displaced(
      { whole: painted(photo), without: painted(ground), shot: painted(moved), ignored: none() },
      20,
    )!;
    expect(Math.abs(found.x - 5)).toBeLessThan(0.3);
    expect(Math.abs(found.y + 2)).toBeLessThan(0.3);
    expect(Object.values(found.edges)).toEqual([null, null, null, null]);
  });

  it('is not said of a layer that is not seen', () => {
    const ground = painted(photo);
    expect(displaced({ whole: ground, without: ground, shot: ground, ignored: none() }, 20)).toBeNull();
  });
});

describe('whether a layer is there', () => {
  const flatOver =
    (
      ground: Paint,
      { x: left, y: top, width, height }: Box,
      colour: readonly [number, number, number],
    ): Paint =>
    (x, y) =>
      x >= left && x < left + width && y >= top && y < top + height ? colour : ground(x, y);
  const stateOf = (of: Shown) => locate(of, 20);
  const white: Paint = () => [250, 250, 250];
  const flat = { whole: painted(flatOver(photo, BOX, [240, 240, 240])), without: painted(photo) };

  it('is asked first: one that is missing is not found, and never lies at the end of what is searched', () => {
    expect(stateOf(shown(painted(photo)))).toEqual({ state: 'not-found' });
    expect(stateOf({ ...shown(painted(photo)), ...flat })).toEqual({ state: 'not-found' });
  });

  it('is not found on another screen, of whatever colour', () => {
    const other: Paint = (x, y) => (((x >> 4) + (y >> 4)) % 2 === 0 ? [30, 30, 34] : [200, 120, 40]);
    for (const screen of [white, other, () => [20, 70, 90] as const] as Paint[]) {
      expect(stateOf(shown(painted(screen)))).toEqual({ state: 'not-found' });
      expect(stateOf({ ...shown(painted(screen)), ...flat })).toEqual({ state: 'not-found' });
    }
  });

  it('is found of one colour, too, wherever it was moved', () => {
    fc.assert(
      fc.property(fc.integer({ min: -15, max: 15 }), fc.integer({ min: -15, max: 15 }), (x, y) => {
        const moved = painted(flatOver(photo, { ...BOX, x: BOX.x + x, y: BOX.y + y }, [240, 240, 240]));
        const found = stateOf({ ...shown(moved), ...flat });
        expect(found).toMatchObject({ state: 'found', at: { x, y, recoloured: false } });
      }),
      { numRuns: 5 },
    );
  });

  it('is found at its size, or not', () => {
    const half = { x: BOX.x + 11, y: BOX.y + 9, width: 22, height: 18 };
    const found = stateOf(shown(painted(over(photo, half))));
    if (found.state === 'found') expect(Math.abs(found.at.scale - 0.5)).toBeLessThan(0.03);
    else expect(found.state).toBe('not-found');
  });

  it('is found in other colours, and said to have them', () => {
    const found = stateOf({ ...shown(painted(flatOver(photo, BOX, [180, 20, 30]))), ...flat });
    expect(found).toMatchObject({ state: 'found', at: { x: 0, y: 0, recoloured: true } });
  });

  it('is found where a part of it is covered, and not where all of it is', () => {
    const covered = (share: number) =>
      painted(flatOver(over(photo, BOX), { ...BOX, width: BOX.width * share }, [10, 120, 10]));
    expect(stateOf(shown(covered(0.4))).state).toBe('found');
    expect(stateOf(shown(covered(1))).state).toBe('not-found');
  });

  it('is left out where what it covers is not looked at', () => {
    expect(stateOf(shown(painted(photo), { ignored: none().fill(1) }))).toEqual({ state: 'left-out' });
  });
});

describe('what nothing explains', () => {
  const whole = painted(over(photo, BOX));
  const without = painted(photo);
  const rest = (shot: Raster, located: Located) =>
    unexplained({ whole, shot, ignored: none() }, [{ without, located }]);

  it('is nothing of a layer that has moved, nor of one that is missing', () => {
    const moved = painted(over(photo, { ...BOX, x: BOX.x + 7 }));
    expect(rest(moved, locate(shown(moved), 20)).share).toBeLessThan(0.001);
    expect(rest(without, { state: 'not-found' }).share).toBe(0);
  });

  it('is a banner that lies over it, with where it lies', () => {
    const banner = painted((x, y) => (y > 120 && x > 90 ? [255, 0, 200] : over(photo, BOX)(x, y)));
    const { share, where } = rest(banner, locate(shown(banner), 20));
    expect(share).toBeGreaterThan(0.05);
    expect(where).toBe('bottom right');
  });
});
