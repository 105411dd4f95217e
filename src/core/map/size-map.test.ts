import * as fc from 'fast-check';
import type { Limit } from '../measure/limit';
import { fillScreen } from '../placing/presets';
import { casesOf } from '../screens/cases';
import { freeWindow } from '../screens/free';
import { resized } from '../screens/resized';
import { turnedSize } from '../screens/turn';
import { surveyCase } from '../survey/survey';
import { fitOf, inputOf, pictureLayer, pictureOf, SCREENS, UPRIGHT } from '../testing/scenes';
import { isAllowed, outcomeAt, sharesOf } from './area';
import { nearestFailing } from './nearest';
import { rangeFor } from './range';
import { coarseMap, mappingSizes, type SizeMap, type ToMap } from './size-map';
import { sayBroken, sayWhere } from './words';

/** Cover of a file of 4 : 3, which loses the more the further a window is from that; nothing else is judged. */
const layer = pictureLayer(fillScreen(), { role: 'background', fit: fitOf('cover') });
const photo = pictureOf('logo', { widthPx: 4800, heightPx: 3600, density: 3 });
const crop = (max: number, outcome: Limit['outcome']): Limit => ({
  measure: 'crop',
  role: 'background',
  max,
  outcome,
});
const input = { ...inputOf([layer], [photo]), limits: [crop(0.5, 'warn'), crop(0.65, 'fail')] };
const asked: ToMap = {
  base: UPRIGHT.screen,
  appearance: 'light',
  around: 'nothing',
  allowed: {},
  range: rangeFor([]),
};
/** Ratios at which half, and 65 %, of 4 : 3 is cut off, on either side. */
const [FAIL, WARN] = [(0.35 * 4) / 3, (0.5 * 4) / 3];
const [WARN_FLAT, FAIL_FLAT] = [4 / 3 / 0.5, 4 / 3 / 0.35];

function lastOf(of: typeof input, to: ToMap): SizeMap {
  const steps = mappingSizes(of, to);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
const map = lastOf(input, asked);

const outcomeOn = (of: typeof input, width: number, height: number) =>
  surveyCase(of, freeWindow({ width, height }, UPRIGHT.screen, 'light')).outcome;

const sizes = fc.record({
  width: fc.double({ min: 161, max: 2480, noNaN: true }),
  height: fc.double({ min: 201, max: 1550, noNaN: true }),
});

describe('the map of all sizes', () => {
  it('says of any size what a survey of that window says, up to one lu from a boundary', () => {
    fc.assert(
      fc.property(sizes, ({ width, height }) => {
        const near = [-1, 0, 1].flatMap((dw) =>
          [-1, 0, 1].map((dh) => outcomeOn(input, width + dw, height + dh)),
        );
        expect(near).toContain(outcomeAt(map.pieces, { width, height }));
      }),
      { numRuns: 400 },
    );
  });

  it('has its boundaries within one lu of where the loss passes its limit', () => {
    for (const height of [260, 371, 600, 744.5]) {
      const changeAt = (ratio: number) => {
        let [low, high] = [(ratio - 0.05) * height, (ratio + 0.05) * height];
        const first = outcomeAt(map.pieces, { width: low, height });
        expect(outcomeAt(map.pieces, { width: high, height })).not.toBe(first);
        while (high - low > 0.01) {
          const width = (low + high) / 2;
          if (outcomeAt(map.pieces, { width, height }) === first) low = width;
          else high = width;
        }
        return low;
      };
      for (const ratio of [FAIL, WARN, WARN_FLAT])
        if (ratio * height > 200) expect(Math.abs(changeAt(ratio) - ratio * height)).toBeLessThan(1);
    }
  });

  it('covers its whole range, each window once', () => {
    const area = (pieces: SizeMap['pieces']) =>
      sharesOf(pieces.map((p) => ({ ...p, outcome: 'clear' as const })))!.clear;
    expect(area(map.pieces)).toBe(1);
    const whole = sharesOf(map.pieces)!;
    expect(whole.clear + whole.warn + whole.fail).toBeCloseTo(1, 9);
    fc.assert(
      fc.property(sizes, (size) => {
        // Beside its edges a window lies in one piece; on an edge, in those of both sides.
        expect(outcomeAt(map.pieces, size)).not.toBeNull();
      }),
    );
    expect(outcomeAt(map.pieces, { width: 100, height: 500 })).toBeNull();
  });

  it('says the shares of what is allowed, by the logarithms of width and height', () => {
    const square = { low: 400, high: 800 };
    const shares = sharesOf(map.pieces, { width: square, height: square })!;
    // The corner in which the ratio is under ⅔ is half a square whose side is ln 2 − ln 1.5, out of one of ln 2.
    expect(shares.warn).toBeCloseTo((Math.log(2) - Math.log(1.5)) ** 2 / 2 / Math.log(2) ** 2, 3);
    expect(shares.fail).toBe(0);
    expect(sharesOf(map.pieces, { ratios: { low: 0.7, high: 2.6 } })).toEqual({ clear: 1, warn: 0, fail: 0 });
    expect(sharesOf(map.pieces, { width: { low: 5000, high: 6000 } })).toBeNull();
    expect(isAllowed({ width: 400, height: 800 }, { width: square, height: square })).toBe(true);
    expect(isAllowed({ width: 399, height: 800 }, { width: square, height: square })).toBe(false);
  });

  it('says where it breaks, to the px, with what is wrong at worst there', () => {
    const [narrow, flat, nearlyNarrow] = map.breaks;
    expect(map.breaks.map((b) => b.outcome)).toEqual(['fail', 'fail', 'warn', 'warn']);
    expect(sayWhere([narrow!, flat!].find((b) => b.isFrom)!)).toBe('narrower than 0.467 : 1');
    const flatter = [narrow!, flat!].find((b) => b.isTo)!;
    expect(flatter.within.low).toBeCloseTo(FAIL_FLAT, 1);
    expect(nearlyNarrow!.outcome).toBe('warn');
    expect(sayBroken(narrow!, [layer])).toMatch(/^It: .*%$/);
  });

  it('is coarse at once, and then says so', () => {
    const coarse = coarseMap(input, asked);
    expect(coarse.isExact).toBe(false);
    expect(coarse.step).toBeGreaterThan(map.step);
    const [a, b] = [sharesOf(coarse.pieces)!, sharesOf(map.pieces)!];
    expect(Math.abs(a.fail - b.fail)).toBeLessThan(0.02);
    const first = [...stepsOf(mappingSizes(input, asked))].find((m) => m !== null);
    expect(first).toEqual(coarse);
  });
});

function* stepsOf<T>(steps: Generator<T, unknown>): Generator<T> {
  for (let next = steps.next(); !next.done; next = steps.next()) yield next.value;
}

describe('a band of windows that fail', () => {
  /** Fails from one width to another, by a rule that stretches there. */
  const banded = (from: number, to: number) => ({
    ...input,
    scene: {
      ...input.scene,
      layers: [{ ...layer, when: [{ minWidth: from, maxWidth: to, fit: fitOf('stretch') }] }],
    },
    limits: [{ measure: 'distortion', role: 'background', max: 0.001, outcome: 'fail' } as Limit],
  });
  const failsIn = (of: SizeMap, from: number, to: number) =>
    [250, 400, 700, 1100].some(
      (height) => outcomeAt(of.pieces, { width: (from + to) / 2, height }) === 'fail',
    );

  it('is shown, however narrow, or said to be so narrow that it may be missed', () => {
    const narrow = lastOf(banded(600, 606), asked);
    const isSaid = 606 * (narrow.step - 1) >= 6;
    expect(failsIn(narrow, 600, 606) || isSaid).toBe(true);
  });

  it.each([330, 600, 1000, 1500])('is shown from %d lu on where it is wider than that', (from) => {
    const to = from * map.step * 1.02;
    expect(failsIn(lastOf(banded(from, to), asked), from, to)).toBe(true);
  });
});

describe('the screens nearest to failing', () => {
  const cases = casesOf(SCREENS.filter((s) => s.kind === 'phone').slice(0, 12), ['light']);
  const steps = nearestFailing(input, cases, 3);
  const near = (() => {
    for (;;) {
      const { done, value } = steps.next();
      if (done) return value;
    }
  })();

  it('fail by that change, and not by a px less', () => {
    expect(near).toHaveLength(3);
    for (const { caseId, along, by, breach } of near) {
      const c = cases.find((one) => one.id === caseId)!;
      const { density } = c.screen;
      const size = turnedSize(c.screen, c.rotation);
      const with_ = (change: number) =>
        surveyCase(input, resized(c, { ...size, [along]: size[along] + change }));
      expect(with_(by).outcome).toBe('fail');
      expect(with_(by - Math.sign(by) / density).outcome).not.toBe('fail');
      expect(breach.limit.measure).toBe('crop');
    }
    const by = near.map((n) => Math.abs(n.by));
    expect(by).toEqual(by.toSorted((a, b) => a - b));
  });
});

it('keeps insets, and cutouts in their place, where a screen changes its size', () => {
  const { screen } = UPRIGHT;
  const wider = resized(UPRIGHT, { width: 493, height: 852 });
  expect(wider.screen.insets).toEqual(screen.insets);
  const [before, after] = [screen.cutouts[0]!, wider.screen.cutouts[0]!];
  const middle = (x: number, width: number, of: number) => (x + width / 2) / of;
  expect(middle(after.x, after.width, 493)).toBeCloseTo(middle(before.x, before.width, 393), 6);
  expect(after.y).toBe(before.y);
});

it('has room for every screen', () => {
  expect(rangeFor([{ width: 320, height: 640 }])).toEqual(rangeFor([]));
  expect(rangeFor([{ width: 3840, height: 100 }])).toEqual({
    width: { low: 160, high: 3840 * 1.1 },
    height: { low: 100 / 1.1, high: 1600 },
  });
});
