import fc from 'fast-check';
import { placePicture, type Placement } from '../fit/place';
import type { Fit } from '../fit/rule';
import { area, intersect, type Rect } from '../geometry/rect';
import { bare } from '../measure/bare';
import { crop } from '../measure/crop';
import { distortion } from '../measure/distortion';
import { fitOf } from '../testing/scenes';
import { solvePosition, type AlignKind, type PlacedCase } from './position';
import { heldRatios, rangeWithin, reachable, RATIO_FITS, type RatioFit } from './ratio';
import { seenEverywhere, seenSomewhere } from './seen';
import {
  curve,
  emptyStretches,
  keptWithin,
  kinks,
  lossAt,
  worstWithin,
  VALLEY_MEASURES,
  type Valley,
} from './valley';

/** In steps of 2⁻¹⁶: a length of less than the rounding that is allowed below decides nothing. */
const between = (min: number, max: number) =>
  fc.integer({ min: Math.ceil(min * 65536), max: Math.floor(max * 65536) }).map((steps) => steps / 65536);
const size = (min: number, max: number) => fc.record({ width: between(min, max), height: between(min, max) });
const areaIn: fc.Arbitrary<Rect> = fc
  .tuple(between(0, 0.8), between(0, 0.8), between(0.05, 1), between(0.05, 1))
  .map(([x, y, w, h]) => ({ x, y, width: w * (1 - x), height: h * (1 - y) }));

interface Setting {
  natural: { width: number; height: number };
  box: Rect;
  screen: Rect;
  fit: Fit;
}
const setting: fc.Arbitrary<Setting> = fc.record({
  natural: size(50, 800),
  // Some boxes stick out of the screen.
  box: fc.tuple(between(-60, 60), between(-60, 60), size(60, 900)).map(([x, y, s]) => ({ x, y, ...s })),
  screen: size(200, 900).map((s) => ({ x: 0, y: 0, ...s })),
  fit: fc
    .tuple(
      fc.constantFrom('cover' as const, 'contain' as const, 'natural' as const, 'match-width' as const),
      fc.boolean(),
    )
    .map(([s, clip]) => fitOf(s, clip)),
});

const place = (
  { natural, box, screen, fit }: Setting,
  kind: AlignKind,
  at: { x: number; y: number },
): Placement =>
  placePicture({
    fit: {
      ...fit,
      align:
        kind === 'focal' ? { kind } : { ...fitOf('cover', true, { x: at.x * 100, y: at.y * 100 }).align },
    },
    natural,
    box,
    screen,
    density: 1,
    focalPoint: at,
  });

/** How much of a keep area is not seen along an axis, by looking: picture units. */
function missed(
  s: Setting,
  kind: AlignKind,
  rect: Rect,
  at: { x: number; y: number },
  axis: 'x' | 'y',
): number {
  const p = place(s, kind, at);
  const window = p.clipped ? intersect(s.box, s.screen) : s.screen;
  if (!window) return Infinity;
  const along = axis === 'x' ? 'width' : 'height';
  const from = p.drawn[axis] + rect[axis] * p.drawn[along];
  const to = from + rect[along] * p.drawn[along];
  return Math.max(window[axis] - from, to - (window[axis] + window[along]), 0) / p.scale[axis];
}

const caseOf = (s: Setting, keep: Rect, id = 'a'): PlacedCase => ({
  caseId: id,
  weight: 1,
  placement: place(s, 'position', { x: 0.5, y: 0.5 }),
  window: s.screen,
  keepAreas: [{ subject: 's', rect: keep, weight: 1 }],
  offset: { x: 0, y: 0 },
});

describe.each(['position', 'focal'] as const)('the solver, by %s', (kind) => {
  it('gives exactly the shares at which an area is seen whole: inside, outside and at each bound', () => {
    fc.assert(
      fc.property(setting, areaIn, (s, keep) => {
        fc.pre(intersect(s.box, s.screen) !== null);
        const answer = solvePosition([caseOf(s, keep)], kind)!;
        for (const axis of ['x', 'y'] as const) {
          const lost = (share: number) => missed(s, kind, keep, { x: 0.5, y: 0.5, [axis]: share }, axis);
          const found = answer[axis];
          if (found.kind !== 'held') {
            // Nowhere is it whole by more than rounding.
            for (let i = 0; i <= 20; i++) expect(lost(i / 20)).toBeGreaterThan(0);
            continue;
          }
          const { low, high } = found.interval;
          for (const share of [low, (low + high) / 2, high]) expect(lost(share)).toBeLessThan(1e-9 * 900);
          if (high - low > 2e-6)
            for (const share of [low + 1e-6, high - 1e-6]) expect(lost(share)).toBeLessThan(1e-9);
          if (low > 1e-6) expect(lost(low - 1e-6)).toBeGreaterThan(0);
          if (high < 1 - 1e-6) expect(lost(high + 1e-6)).toBeGreaterThan(0);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('has the bounds that bisection finds', () => {
    fc.assert(
      fc.property(setting, areaIn, (s, keep) => {
        const answer = solvePosition([caseOf(s, keep)], kind)!;
        for (const axis of ['x', 'y'] as const) {
          const found = answer[axis];
          if (found.kind !== 'held') continue;
          const { low, high } = found.interval;
          const whole = (share: number) =>
            missed(s, kind, keep, { x: 0.5, y: 0.5, [axis]: share }, axis) < 1e-10;
          const bisect = (bad: number, good: number) => {
            for (let i = 0; i < 60; i++) {
              const middle = (bad + good) / 2;
              if (whole(middle)) good = middle;
              else bad = middle;
            }
            return good;
          };
          const middle = (low + high) / 2;
          if (high - low < 1e-6 || !whole(middle)) continue;
          const p = place(s, kind, { x: 0.5, y: 0.5 });
          // Where a share hardly moves the picture, rounding moves the bound.
          const travel = Math.abs(
            p.box[axis === 'x' ? 'width' : 'height'] - p.drawn[axis === 'x' ? 'width' : 'height'],
          );
          if (travel < 1) continue;
          if (low > 0) expect(bisect(0, middle)).toBeCloseTo(low, 9);
          if (high < 1) expect(bisect(1, middle)).toBeCloseTo(high, 9);
        }
      }),
      { numRuns: 200 },
    );
  });
});

describe('the solver over several cases', () => {
  const natural = { width: 400, height: 300 };
  const upright: Setting = {
    natural,
    box: { x: 0, y: 0, width: 150, height: 300 },
    screen: { x: 0, y: 0, width: 150, height: 300 },
    fit: fitOf('cover'),
  };
  const left = { x: 0, y: 0, width: 0.2, height: 1 };
  const right = { x: 0.8, y: 0, width: 0.2, height: 1 };

  it('names the two that exclude each other, and the one that cannot be kept at all', () => {
    const pair = solvePosition([caseOf(upright, left, 'one'), caseOf(upright, right, 'two')], 'position')!.x;
    expect(pair).toMatchObject({ kind: 'pair' });
    if (pair.kind === 'pair') expect(pair.asks.map((a) => a.caseId).toSorted()).toEqual(['one', 'two']);
    const wide = { x: 0, y: 0, width: 0.6, height: 1 };
    const alone = solvePosition([caseOf(upright, left, 'one'), caseOf(upright, wide, 'two')], 'position')!.x;
    expect(alone).toMatchObject({ kind: 'alone', ask: { caseId: 'two' } });
  });

  it('finds the position that keeps the most weight, as trying all of them does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(areaIn, fc.integer({ min: 1, max: 5 })), { minLength: 1, maxLength: 6 }),
        (list) => {
          const cases = list.map(([keep, weight], i) => ({ ...caseOf(upright, keep, String(i)), weight }));
          const { best } = solvePosition(cases, 'position')!;
          const keptAt = (x: number) =>
            cases.reduce(
              (sum, c) =>
                missed(upright, 'position', c.keepAreas[0]!.rect, { x, y: 0.5 }, 'x') < 1e-9
                  ? sum + c.weight
                  : sum,
              0,
            );
          let most = 0;
          for (let i = 0; i <= 400; i++) most = Math.max(most, keptAt(i / 400));
          expect(best.kept).toBeGreaterThanOrEqual(most);
          if (best.kept > 0) expect(keptAt(best.x)).toBe(best.kept);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has nothing to say of a repeated picture', () => {
    const tiled = { ...upright, fit: { ...fitOf('natural'), repeat: { x: 'repeat', y: 'repeat' } } as Fit };
    expect(solvePosition([caseOf(tiled, left)], 'position')).toBeNull();
  });
});

describe('ratios', () => {
  // In hundredths: held at next to nothing, a picture hardly moves and rounding decides.
  const hundredth = fc.integer({ min: 0, max: 100 }).map((n) => n / 100);
  const position = fc.record({ x: hundredth, y: hundredth });
  const cover = (
    natural: { width: number; height: number },
    ratio: number,
    at: { x: number; y: number },
  ): [Setting, Placement] => {
    const box = { x: 0, y: 0, width: 300 * ratio, height: 300 };
    const s = { natural, box, screen: box, fit: fitOf('cover') };
    return [s, place(s, 'position', at)];
  };
  const isWhole = (
    natural: { width: number; height: number },
    ratio: number,
    at: { x: number; y: number },
    keep: Rect,
    slack: number,
  ) => {
    const [s] = cover(natural, ratio, at);
    return (['x', 'y'] as const).every((axis) => missed(s, 'position', keep, at, axis) <= slack * 1000);
  };

  it('are held where the position in use shows the area: inside, outside, at each bound ± 1e-6, and by bisection', () => {
    fc.assert(
      fc.property(size(100, 500), areaIn, position, (natural, keep, at) => {
        const range = heldRatios(keep, natural, at);
        const own = natural.width / natural.height;
        if (!range) return;
        const hasRoom = range.high / range.low > 1 + 3e-6;
        const whole = (ratio: number) => isWhole(natural, ratio, at, keep, 1e-12);
        if (range.low > 0) {
          if (hasRoom) expect(whole(range.low * (1 + 1e-6))).toBe(true);
          expect(whole(range.low * (1 - 1e-6))).toBe(false);
          let [bad, good] = [range.low * 0.9, own];
          for (let i = 0; i < 80; i++) {
            const middle = (bad + good) / 2;
            if (whole(middle)) good = middle;
            else bad = middle;
          }
          expect(Math.abs(good / range.low - 1)).toBeLessThan(1e-8);
        }
        if (Number.isFinite(range.high)) {
          if (hasRoom) expect(whole(range.high * (1 - 1e-6))).toBe(true);
          expect(whole(range.high * (1 + 1e-6))).toBe(false);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('are reachable where some position shows the area', () => {
    fc.assert(
      fc.property(size(100, 500), areaIn, between(0.2, 5), (natural, keep, ratio) => {
        const { low, high } = reachable(keep, natural);
        fc.pre(Math.abs(ratio / low - 1) > 1e-6 && Math.abs(ratio / high - 1) > 1e-6);
        const [s] = cover(natural, ratio, { x: 0.5, y: 0.5 });
        const answer = solvePosition([caseOf(s, keep)], 'position')!;
        expect(answer.x.kind === 'held' && answer.y.kind === 'held').toBe(ratio > low && ratio < high);
      }),
    );
  });

  it('keep a limit where the measure does', () => {
    const fits = fc.constantFrom<RatioFit>(...RATIO_FITS);
    fc.assert(
      fc.property(size(100, 500), fits, between(0.2, 5), between(0.01, 0.9), (natural, fit, ratio, max) => {
        const box = { x: 0, y: 0, width: 300 * ratio, height: 300 };
        const p = place({ natural, box, screen: box, fit: fitOf(fit) }, 'position', { x: 0.5, y: 0.5 });
        const measured = { crop: crop(p, box)!.total, bare: bare(p)!.total, distortion: distortion(p) };
        for (const [measure, value] of Object.entries(measured) as [
          'crop' | 'bare' | 'distortion',
          number,
        ][]) {
          if (Math.abs(value - max) < 1e-9) continue;
          const { low, high } = rangeWithin(measure, fit, natural.width / natural.height, max);
          expect(ratio >= low && ratio <= high).toBe(value < max);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('have a curve that ends and bends where it should', () => {
    const valley: Valley = {
      fit: 'cover',
      own: 2,
      areas: [{ x: 0.2, y: 0.1, width: 0.2, height: 0.5 }],
      position: { x: 0.5, y: 0.5 },
    };
    const points = curve(valley, 'keep-lost', { low: 0.5, high: 6 });
    expect(points[0]!.ratio).toBe(0.5);
    expect(points.at(-1)!.ratio).toBeCloseTo(6, 9);
    for (const k of kinks(valley, 'keep-lost').filter((r) => r > 0.5 && r < 6))
      expect(points.some((p) => p.ratio === k)).toBe(true);
    expect(lossAt(valley, 'crop', 2)).toBe(0);
    expect(lossAt(valley, 'crop', 1)).toBe(0.5);
  });
});

describe('a range of ratios', () => {
  it('loses most where no ratio inside it loses more', () => {
    const fits = fc.constantFrom<RatioFit>(...RATIO_FITS);
    const valley: fc.Arbitrary<Valley> = fc.record({
      fit: fits,
      own: between(0.4, 3),
      areas: fc.array(areaIn, { maxLength: 3 }),
      position: fc.record({ x: between(0, 1), y: between(0, 1) }),
    });
    fc.assert(
      fc.property(valley, between(0.2, 2), between(1.05, 4), (v, low, by) => {
        const range = { low, high: low * by };
        for (const measure of VALLEY_MEASURES) {
          const worst = worstWithin(v, measure, range);
          expect(worst.ratio).toBeGreaterThanOrEqual(range.low);
          expect(worst.ratio).toBeLessThanOrEqual(range.high);
          expect(worst.loss).toBe(lossAt(v, measure, worst.ratio));
          for (let i = 0; i <= 200; i++) {
            const ratio = range.low * by ** (i / 200);
            expect(lossAt(v, measure, ratio)).toBeLessThanOrEqual(worst.loss + 1e-9);
          }
        }
      }),
    );
  });

  it('keeps a limit on exactly the stretches on which the curve does, whatever the fit', () => {
    const share = fc.integer({ min: 0, max: 100 }).map((n) => n / 100);
    const area = fc.record({ x: share, y: share, width: share, height: share }).map((r) => ({
      x: r.x * 0.7,
      y: r.y * 0.7,
      width: 0.05 + r.width * 0.25,
      height: 0.05 + r.height * 0.25,
    }));
    const valley: fc.Arbitrary<Valley> = fc.record({
      fit: fc.constantFrom(...RATIO_FITS),
      own: fc.integer({ min: 20, max: 300 }).map((n) => n / 100),
      areas: fc.array(area, { maxLength: 3 }),
      position: fc.record({ x: share, y: share }),
    });
    const range = { low: 0.1, high: 10 };
    fc.assert(
      fc.property(valley, fc.constantFrom(...VALLEY_MEASURES), share, (v, measure, max) => {
        const kept = keptWithin(v, measure, max, range);
        for (let i = 0; i <= 200; i++) {
          const ratio = range.low * (range.high / range.low) ** (i / 200);
          const loss = lossAt(v, measure, ratio);
          if (Math.abs(loss - max) < 1e-9) continue;
          expect(kept.some((k) => ratio >= k.low && ratio <= k.high)).toBe(loss <= max);
        }
        kept.slice(1).forEach((k, i) => expect(k.low).toBeGreaterThan(kept[i]!.high));
      }),
    );
  });

  it('is empty between neighbours that are far enough apart, and nowhere else', () => {
    const found = emptyStretches([0.5, 0.51, 1, 3], { low: 0.5, high: 2 }, 1.1);
    expect(found).toEqual([
      { low: 0.51, high: 1 },
      { low: 1, high: 2 },
    ]);
    expect(emptyStretches([], { low: 1, high: 2 })).toEqual([{ low: 1, high: 2 }]);
  });
});

describe('what is seen', () => {
  it('everywhere is in every case, and the heat of it is 1', () => {
    fc.assert(
      fc.property(fc.array(areaIn, { minLength: 1, maxLength: 5 }), (rects) => {
        const cases = rects.map((rect, i) => ({ rect, weight: i + 1 }));
        const everywhere = seenEverywhere(cases);
        const heat = seenSomewhere(cases, 8, 8);
        for (const share of heat.shares) expect(share).toBeLessThanOrEqual(1 + 1e-9);
        const mean = heat.shares.reduce((a, b) => a + b) / 64;
        const total = cases.reduce((sum, c) => sum + c.weight, 0);
        expect(mean).toBeCloseTo(
          cases.reduce((sum, c) => sum + (c.weight / total) * area(c.rect), 0),
          9,
        );
        if (!everywhere) return;
        for (const r of rects) expect(area(intersect(everywhere, r)!)).toBeCloseTo(area(everywhere), 12);
      }),
    );
  });
});
