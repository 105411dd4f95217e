import fc from 'fast-check';
import { area, bottom, fromSize, right, type Rect } from '../geometry/rect';
import { rect, repeatedFit, share, singleFit, size } from '../testing/arbitraries';
import { lu, percent } from '../values/values';
import { placePicture, type Placement } from './place';
import { centredByInk, FIT_PRESETS, presetOf, withoutInkShift, withPreset } from './presets';
import { Fit, type FitSize } from './rule';
import { coveredArea, paintedRect, tileStarts } from './tiles';

const box: Rect = { x: 0, y: 0, width: 300, height: 600 };
const natural = { width: 400, height: 300 };
const centred: Fit['align'] = {
  kind: 'position',
  x: { percent: 50, offset: lu(0) },
  y: { percent: 50, offset: lu(0) },
};
const fit = (fitSize: FitSize, more: Partial<Fit> = {}): Fit => ({
  size: fitSize,
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: centred,
  clip: true,
  cornerRadius: lu(0),
  ...more,
});
const place = (f: Fit, focalPoint?: { x: number; y: number }): Placement =>
  placePicture({ fit: f, natural, box, screen: box, density: 2, focalPoint });

describe('sizes of fit', () => {
  it.each<[FitSize, number, number]>([
    ['cover', 800, 600],
    ['contain', 300, 225],
    ['stretch', 300, 600],
    ['natural', 400, 300],
    ['scale-down', 300, 225],
    ['match-width', 300, 225],
    ['match-height', 800, 600],
    [{ width: percent(50), height: 'auto' }, 150, 112.5],
    [{ width: 'auto', height: lu(30) }, 40, 30],
    [{ width: lu(10), height: percent(10) }, 10, 60],
    [{ width: { value: 100, unit: 'px' }, height: 'auto' }, 50, 37.5],
    [{ width: 'auto', height: 'auto' }, 400, 300],
  ])('%j draws %d × %d', (s, width, height) => {
    expect(place(fit(s)).drawn).toMatchObject({ width, height });
  });

  it('scale down never enlarges', () => {
    const small = placePicture({
      fit: fit('scale-down'),
      natural: { width: 10, height: 20 },
      box,
      screen: box,
      density: 1,
    });
    expect(small.scale).toEqual({ x: 1, y: 1 });
  });
});

describe('focal alignment', () => {
  it('keeps the point in the middle as far as no edge is bared', () => {
    expect(place(fit('cover', { align: { kind: 'focal' } }), { x: 0.5, y: 0.5 }).drawn.x).toBe(-250);
    expect(place(fit('cover', { align: { kind: 'focal' } }), { x: 0, y: 0.5 }).drawn.x).toBe(0);
    expect(place(fit('cover', { align: { kind: 'focal' } }), { x: 1, y: 0.5 }).drawn.x).toBe(-500);
  });

  it('keeps a smaller picture inside its box', () => {
    fc.assert(
      fc.property(share, share, (x, y) => {
        const { drawn } = place(fit('contain', { align: { kind: 'focal' } }), { x, y });
        expect(drawn.y).toBeGreaterThanOrEqual(-1e-9);
        expect(bottom(drawn)).toBeLessThanOrEqual(600 + 1e-9);
      }),
    );
  });
});

describe('any placement', () => {
  it('shows a part of the picture that maps back to what is visible', () => {
    fc.assert(
      fc.property(singleFit, size(), rect(), share, share, (f, n, b, x, y) => {
        const screen = fromSize({ width: 800, height: 900 });
        const p = placePicture({ fit: f, natural: n, box: b, screen, density: 2, focalPoint: { x, y } });
        if (!p.visible || !p.source) return;
        expect(p.source.x).toBeGreaterThanOrEqual(-1e-6);
        expect(right(p.source)).toBeLessThanOrEqual(n.width * (1 + 1e-9) + 1e-6);
        expect(p.drawn.x + p.source.x * p.scale.x).toBeCloseTo(p.visible.x, 6);
        expect(p.drawn.y + bottom(p.source) * p.scale.y).toBeCloseTo(bottom(p.visible), 6);
        expect(area(p.visible)).toBeLessThanOrEqual(area(screen) + 1e-6);
      }),
    );
  });

  it('of cover leaves nothing bare and of contain cuts nothing, at any position from 0 to 100 %', () => {
    const at = fc.double({ min: 0, max: 100, noNaN: true });
    fc.assert(
      fc.property(size(), rect(), at, at, (n, b, px, py) => {
        const align: Fit['align'] = {
          kind: 'position',
          x: { percent: px, offset: lu(0) },
          y: { percent: py, offset: lu(0) },
        };
        const run = (s: FitSize) =>
          placePicture({ fit: fit(s, { align }), natural: n, box: b, screen: b, density: 1 });
        expect(coveredArea(run('cover'), b) / area(b)).toBeCloseTo(1, 9);
        const contained = run('contain');
        expect(area(contained.visible!) / area(contained.drawn)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('repeated pictures', () => {
  it('round to a whole number of tiles, and an auto axis follows', () => {
    const p = place(fit({ width: lu(130), height: 'auto' }, { repeat: { x: 'round', y: 'no-repeat' } }));
    expect(p.drawn.width).toBe(150);
    expect(p.drawn.height).toBeCloseTo(112.5, 9);
    expect(p.tiles.x).toMatchObject({ count: 2, pitch: 150 });
  });

  it('share out what is left between them, and stand alone where there is room for one', () => {
    const spaced = place(fit({ width: lu(80), height: lu(350) }, { repeat: { x: 'space', y: 'space' } }));
    expect(spaced.tiles).toEqual({ x: { pitch: 110, gap: 30, count: 3 }, y: null });
    expect(spaced.drawn.y).toBe(125);
  });

  it('cover the box from edge to edge, whatever the phase', () => {
    fc.assert(
      fc.property(repeatedFit, size(4, 600), rect(50, 900), (f, n, b) => {
        const p = placePicture({ fit: f, natural: n, box: b, screen: b, density: 1 });
        for (const axis of ['x', 'y'] as const) {
          const tiling = p.tiles[axis];
          if (!tiling) continue;
          const starts = tileStarts(p, axis);
          const [from, length] = axis === 'x' ? [b.x, b.width] : [b.y, b.height];
          const drawn = axis === 'x' ? p.drawn.width : p.drawn.height;
          if (starts.length === 4096) continue;
          expect(starts[0]!).toBeLessThanOrEqual(from + 1e-6);
          expect(starts.at(-1)! + drawn).toBeGreaterThanOrEqual(from + length - 1e-6);
        }
        expect(paintedRect(p).width).toBeGreaterThan(0);
      }),
    );
  });
});

describe('rules', () => {
  it('have no focal point when repeated', () => {
    const wrong = { ...fit('natural'), repeat: { x: 'repeat', y: 'no-repeat' }, align: { kind: 'focal' } };
    expect(Fit.safeParse(wrong).error?.issues[0]?.message).toMatch(/give it a position/);
  });

  it.each(FIT_PRESETS)('are recognised as the preset “%s” and stay valid', (preset) => {
    const changed = withPreset(fit('cover', { align: { kind: 'focal' } }), preset);
    expect(presetOf(changed)).toBe(preset);
    expect(Fit.safeParse(changed).success).toBe(true);
  });
});

describe('a picture that covers and is rounded along one axis', () => {
  // As Chromium paints `cover` with `round no-repeat`: a tile that had to be made narrower is made lower as well.
  it('keeps its shape', () => {
    const wide = { x: 0, y: 0, width: 780, height: 360 };
    const p = placePicture({
      fit: fit('cover', { repeat: { x: 'round', y: 'no-repeat' } }),
      natural: { width: 100, height: 30 },
      box: wide,
      screen: wide,
      density: 1,
    });
    expect(p.drawn.width).toBe(780);
    expect(p.drawn.height).toBeCloseTo(780 * 0.3, 9);
  });
});

describe('corners of a picture', () => {
  const radiusIn = (b: Rect, radius: Fit['cornerRadius']) =>
    placePicture({ fit: fit('cover', { cornerRadius: radius }), natural, box: b, screen: b, density: 1 })
      .cornerRadius;

  // CSS Backgrounds 3 §4.5: all radii scale alike until no two of them overlap.
  it('are no rounder than half of the shorter side', () => {
    expect(radiusIn({ x: 0, y: 0, width: 200, height: 80 }, lu(60))).toBe(40);
    expect(radiusIn({ x: 0, y: 0, width: 80, height: 200 }, percent(90))).toBe(40);
    expect(radiusIn({ x: 0, y: 0, width: 200, height: 80 }, lu(39))).toBe(39);
    expect(radiusIn({ x: 0, y: 0, width: 200, height: 80 }, lu(-5))).toBe(0);
  });
});

describe('a repeated picture with room for one copy', () => {
  const one: Fit['repeat'] = { x: 'space', y: 'space' };
  const small = { x: 0, y: 0, width: 500, height: 310 };
  it('still ends at its box, whether or not it is told to', () => {
    const p = placePicture({
      fit: fit('natural', { repeat: one, clip: false, cornerRadius: lu(20) }),
      natural,
      box: { ...small, width: 380 },
      screen: small,
      density: 1,
    });
    expect(p.tiles).toEqual({ x: null, y: null });
    expect(p.clipped).toBe(true);
    expect(p.visible).toMatchObject({ x: 0, width: 380 });
  });
});

describe('a tile', () => {
  const own = { width: lu(48), height: 'auto' as const };

  it('keeps a size of its own and the way in which its copies are fitted in', () => {
    const tiled = withPreset(fit('cover', { size: own, repeat: { x: 'space', y: 'no-repeat' } }), 'tile');
    expect(tiled).toMatchObject({ size: own, repeat: { x: 'space', y: 'repeat' } });
    expect(presetOf(tiled)).toBe('tile');
    expect(withPreset(tiled, 'tile')).toEqual(tiled);
  });

  it('is at its natural size where it had none', () => {
    expect(withPreset(fit('contain'), 'tile')).toMatchObject({
      size: 'natural',
      repeat: { x: 'repeat', y: 'repeat' },
    });
    expect(presetOf(fit('natural', { repeat: { x: 'round', y: 'round' } }))).toBe('tile');
    expect(presetOf(fit('natural', { repeat: { x: 'repeat', y: 'no-repeat' } }))).toBeNull();
  });
});

it('a shift to the middle of the ink is taken back once the file is trimmed to it, and no other shift', () => {
  const share = fc.integer({ min: -40, max: 40 }).map((n) => n / 100);
  fc.assert(
    fc.property(share, share, (x, y) => {
      const plain = fit('contain');
      const centred = withoutInkShift(centredByInk(plain, { x, y }), { x, y });
      expect(centred.align).toEqual({
        kind: 'position',
        x: { percent: 50, offset: percent(0) },
        y: { percent: 50, offset: percent(0) },
      });
      const other = centredByInk(plain, { x: x + 0.02, y });
      expect(withoutInkShift(other, { x, y })).toEqual(other);
    }),
  );
});
