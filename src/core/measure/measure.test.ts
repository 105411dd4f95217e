import { keep } from './keep';
import { collapsed } from './collapse';
import fc from 'fast-check';
import { area, fromSize, type Rect } from '../geometry/rect';
import { placePicture, type Placement } from '../fit/place';
import type { Fit } from '../fit/rule';
import { repeatedFit, singleFit, size, rect } from '../testing/arbitraries';
import { lu } from '../values/values';
import type { Rendition } from '../pictures/picture';
import { bare, bareScreen } from './bare';
import { clearance, visibleDrawing } from './clearance';
import { crop } from './crop';
import { distortion } from './distortion';
import { enlargement } from './enlargement';
import { breachesOf, gravestOfEach, outcomeOf } from './judge';
import { DEFAULT_LIMITS } from './defaults';
import { subPixel } from './grid';
import { spill } from './spill';
import { figureOf, type Limit } from './limit';
import type { Measures } from './measures';
import { share } from './share';
import { sayBreach, sayLimit } from './words';

const screen = fromSize({ width: 400, height: 800 });
const seenOf = (box: Rect) => visibleDrawing(place(fit('stretch'), box), screen);
const at = (x: number, y: number): Fit['align'] => ({
  kind: 'position',
  x: { percent: x, offset: lu(0) },
  y: { percent: y, offset: lu(0) },
});
const fit = (s: Fit['size'], more: Partial<Fit> = {}): Fit => ({
  size: s,
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: at(50, 50),
  clip: true,
  cornerRadius: lu(0),
  ...more,
});
const place = (f: Fit, box: Rect = screen, natural = { width: 800, height: 600 }): Placement =>
  placePicture({ fit: f, natural, box, screen, density: 2 });
const rendition: Rendition = {
  hash: 'a'.repeat(64),
  widthPx: 1600,
  heightPx: 1200,
  density: 2,
  appearance: 'light',
  vector: false,
};

describe('crop', () => {
  it('gives each side its share of the drawing, and the area as the total', () => {
    const c = crop(place(fit('cover', { align: at(25, 50) })), screen)!;
    const hidden = 1 - 400 / (800 * (800 / 600));
    expect(c.left).toBeCloseTo(hidden * 0.25, 12);
    expect(c.right).toBeCloseTo(hidden * 0.75, 12);
    expect(c).toMatchObject({ top: 0, bottom: 0 });
    expect(c.total).toBeCloseTo(hidden, 12);
  });

  it('counts what lies off the screen even when the box does not cut it', () => {
    const box = { x: 300, y: 0, width: 200, height: 150 };
    expect(crop(place(fit('stretch', { clip: false }), box), screen)!.right).toBeCloseTo(0.5, 12);
  });

  it('is total for a drawing that is nowhere on the screen, and null for a repeated one', () => {
    expect(crop(place(fit('stretch'), { x: 500, y: 0, width: 10, height: 10 }), screen)!.total).toBe(1);
    expect(crop(place(fit('natural', { repeat: { x: 'repeat', y: 'repeat' } })), screen)).toBeNull();
  });
});

describe('bare', () => {
  it('is what contain leaves, per side and in all', () => {
    const b = bare(place(fit('contain', { align: at(50, 0) })))!;
    expect(b).toMatchObject({ left: 0, right: 0, top: 0 });
    expect(b.bottom).toBeCloseTo(1 - 300 / 800, 12);
    expect(b.total).toBeCloseTo(b.bottom, 12);
  });

  it('of the screen says how far from each edge a background stops', () => {
    const box = { x: 44, y: 0, width: 312, height: 779 };
    const b = bareScreen(place(fit('cover'), box), screen, screen);
    expect(b.distance).toEqual({ left: 44, right: 44, top: 0, bottom: 21 });
    expect(b.total).toBeCloseTo(1 - (312 * 779) / (400 * 800), 12);
  });

  it('of the screen is also what a panel cuts off', () => {
    const half = { ...screen, width: screen.width / 2 };
    const b = bareScreen(place(fit('cover'), screen), screen, half);
    expect(b.total).toBeCloseTo(0.5, 9);
    expect(b.right).toBeCloseTo(0.5, 9);
    expect(b.distance).toMatchObject({ left: 0, right: screen.width / 2, top: 0, bottom: 0 });
  });

  it('counts the gaps between spaced tiles', () => {
    const spaced = place(fit({ width: lu(150), height: lu(300) }, { repeat: { x: 'space', y: 'space' } }));
    expect(bare(spaced)!.total).toBeCloseTo(1 - (300 * 600) / (400 * 800), 12);
    expect(bare(spaced)).toMatchObject({ left: 0, right: 0, top: 0, bottom: 0 });
  });

  it('is nothing under a picture that repeats without gaps', () => {
    fc.assert(
      fc.property(repeatedFit, size(4, 400), (f, natural) => {
        fc.pre(f.repeat.x !== 'space' && f.repeat.y !== 'space');
        expect(bare(place(f, screen, natural))!.total).toBeCloseTo(0, 9);
      }),
    );
  });

  it('and crop agree with a count of points', () => {
    const steps = 60;
    fc.assert(
      fc.property(singleFit, size(20, 1200), rect(50, 700), (f, natural, box) => {
        const p = place(f, box, natural);
        const inside = (r: Rect, x: number, y: number) =>
          x >= r.x && x < r.x + r.width && y >= r.y && y < r.y + r.height;
        let covered = 0;
        let seen = 0;
        for (let i = 0; i < steps; i++) {
          for (let j = 0; j < steps; j++) {
            const [u, v] = [(i + 0.5) / steps, (j + 0.5) / steps];
            if (inside(p.drawn, box.x + u * box.width, box.y + v * box.height)) covered++;
            const [x, y] = [p.drawn.x + u * p.drawn.width, p.drawn.y + v * p.drawn.height];
            if (inside(screen, x, y) && (!f.clip || inside(box, x, y))) seen++;
          }
        }
        const coarse = 4 / steps;
        expect(Math.abs(bare(p)!.total - (1 - covered / steps ** 2))).toBeLessThan(coarse);
        expect(Math.abs(crop(p, screen)!.total - (1 - seen / steps ** 2))).toBeLessThan(coarse);
      }),
      { numRuns: 60 },
    );
  });
});

describe('shape, pixels, room', () => {
  it('distortion is the ratio of the scales less one', () => {
    expect(distortion(place(fit('stretch')))).toBeCloseTo(800 / 600 / (400 / 800) - 1, 12);
    expect(distortion(place(fit('cover')))).toBeCloseTo(0, 12);
    expect(distortion(place(fit('contain'), { x: 0, y: 0, width: 0, height: 10 }))).toBeNull();
  });

  it('enlargement compares framebuffer px with px of the file; a vector is never soft', () => {
    expect(enlargement(place(fit('cover')), rendition, 3)).toBeCloseTo((800 * 3) / 1200, 12);
    expect(enlargement(place(fit('cover')), { ...rendition, vector: true }, 3)).toBe(1);
  });

  it('clearance is negative where the drawing intrudes', () => {
    const safe = { x: 0, y: 50, width: 400, height: 700 };
    const c = clearance(seenOf({ x: 10, y: 20, width: 100, height: 100 }), safe, screen)!;
    expect(c.safe).toEqual({ left: 10, right: 290, top: -30, bottom: 630 });
    expect(c.screen.top).toBe(20);
    expect(clearance(seenOf({ x: 500, y: 0, width: 9, height: 9 }), safe, screen)).toBeNull();
  });

  it('share is of the screen, in mm by way of the panel', () => {
    const metrics = {
      density: 3,
      framebufferPx: { width: 1242, height: 2208 },
      panelPx: { width: 1080, height: 1920 },
      ppi: 401,
    } as Parameters<typeof share>[2];
    const s = share(seenOf({ x: 0, y: 0, width: 200, height: 80 }), screen, metrics);
    expect(s).toMatchObject({ width: 0.5, height: 0.1 });
    expect(s.area).toBeCloseTo(0.05, 12);
    expect(s.widthMm).toBeCloseTo(((200 * 3 * (1080 / 1242)) / 401) * 25.4, 9);
  });
});

describe('limits', () => {
  const measures = (f: Fit): Measures => {
    const p = place(f);
    return {
      placement: p,
      ink: null,
      linePx: null,
      crop: crop(p, screen),
      bare: bare(p),
      bareScreen: bareScreen(p, screen, screen),
      distortion: distortion(p),
      enlargement: enlargement(p, rendition, 2),
      clearance: clearance(visibleDrawing(p, screen), screen, screen),
      share: { width: 1, height: 1, area: 1, widthMm: null },
      keep: null,
      contrast: null,
      excess: 1,
      intrusion: { cutout: 0, corner: 0, bar: 0, fold: 0 },
      offCentre: { x: null, y: null },
      spill: spill(p),
      subPixel: subPixel(p.drawn, 2),
      overlap: 0,
      missingLetters: null,
      cutOff: null,
      shortened: null,
      letterSize: null,
      collapsed: collapsed(p.box),
    };
  };
  const layer = { id: 'a', role: 'background' as const };

  it('are broken only beyond their value, and only by their role', () => {
    const max = crop(place(fit('cover')), screen)!.total;
    const limit: Limit = { measure: 'crop', role: 'background', max, outcome: 'fail' };
    expect(breachesOf(layer, measures(fit('cover')), [limit])).toEqual([]);
    const tighter = { ...limit, max: max - 1e-6 };
    expect(breachesOf(layer, measures(fit('cover')), [tighter])[0]!.by).toBeCloseTo(1e-6, 12);
    expect(breachesOf({ id: 'a', role: 'logo' }, measures(fit('cover')), [tighter])).toEqual([]);
  });

  it('give the case its worst outcome, and each measure one line', () => {
    const breaches = breachesOf(layer, measures(fit('stretch')), DEFAULT_LIMITS);
    expect(outcomeOf(breaches)).toBe('fail');
    expect(gravestOfEach(breaches).map((b) => [b.limit.measure, b.limit.outcome])).toEqual([
      ['distortion', 'fail'],
      ['enlargement', 'warn'],
    ]);
  });

  it('take the smallest side of a clearance, or the one that is named', () => {
    const far = {
      safe: { left: 5, right: -3, top: 0, bottom: 9 },
      screen: { left: 5, right: 4, top: 0, bottom: 9 },
    };
    const m = { ...measures(fit('cover')), clearance: far };
    expect(figureOf('clearance-safe')(m)).toBe(-3);
    expect(figureOf('clearance-safe', 'left')(m)).toBe(5);
  });

  it('all have a reason, and are said in words', () => {
    for (const limit of DEFAULT_LIMITS) {
      expect(limit.reason).toMatch(/\.$/);
      expect(sayLimit(limit)).toMatch(/^limit: (at least |exactly )?[\d.]+( %| ×| lu²?| axes| : 1| px)?$/);
    }
    const limit = DEFAULT_LIMITS[0]!;
    expect(sayBreach({ subjectId: 'a', limit, value: 0.6537, by: 0.1537 }, 'Harbour')).toBe(
      'Harbour: crop 65.4 %, limit: 50 %',
    );
  });

  it('keep the visible part of the drawing at most as large as the drawing', () => {
    fc.assert(
      fc.property(singleFit, size(), rect(), (f, natural, box) => {
        const p = place(f, box, natural);
        expect(p.visible ? area(p.visible) : 0).toBeLessThanOrEqual(area(p.drawn) * (1 + 1e-9));
      }),
    );
  });
});

describe('keep areas', () => {
  const box = { x: 0, y: 0, width: 100, height: 100 };
  const plain = { glass: { rect: box, radius: 0 }, holes: [] };
  const areas = [
    { subject: 'left half', rect: { x: 0, y: 0, width: 0.5, height: 1 }, weight: 1 },
    { subject: 'right end', rect: { x: 0.9, y: 0.2, width: 0.1, height: 0.5 }, weight: 1 },
  ];
  /** 2:1 in a square: half of the width is seen, from a place on. */
  const seen = (percent: number) => {
    const natural = { width: 200, height: 100 };
    const align: Fit['align'] = {
      kind: 'position',
      x: { percent, offset: lu(0) },
      y: { percent: 50, offset: lu(0) },
    };
    const cover: Fit = { ...fit('cover'), align };
    return placePicture({ fit: cover, natural, box, screen: box, density: 1 });
  };

  it('lose what is not seen of them', () => {
    const lost = (percent: number) => keep(seen(percent), areas, plain)!.map((k) => k.lost);
    expect(lost(0)).toEqual([0, 1]);
    expect(lost(100)).toEqual([1, 0]);
    expect(lost(50)[0]).toBeCloseTo(0.5, 12);
    expect(keep(seen(0), [], plain)).toBeNull();
  });

  it('lose the share that a fine grid of points counts', () => {
    const share = fc.double({ min: 0, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), share, share, (percent, x, width) => {
        const p = seen(percent);
        const rect = { x, y: 0.1, width: Math.max(0.05, width), height: 0.5 };
        const [found] = keep(p, [{ subject: 's', rect, weight: 1 }], plain)!;
        const points = Array.from({ length: 2000 }, (_, i) => rect.x + (rect.width * (i + 0.5)) / 2000);
        const hidden = points.filter((at) => {
          const on = p.drawn.x + at * p.drawn.width;
          return on < 0 || on > 100;
        });
        expect(found!.lost).toBeCloseTo(hidden.length / points.length, 2);
      }),
    );
  });
});
