import fc from 'fast-check';
import type { Rect, Size } from '../geometry/rect';
import { FIT_NAMES, type Fit, type FitSize } from '../fit/rule';
import { lu, percent } from '../scene/values';

/** Random inputs for property tests. */

const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });

export const size = (min = 1, max = 4000): fc.Arbitrary<Size> =>
  fc.record({ width: length(min, max), height: length(min, max) });

export const rect = (min = 1, max = 2000): fc.Arbitrary<Rect> =>
  fc.record({
    x: length(-500, 500),
    y: length(-500, 500),
    width: length(min, max),
    height: length(min, max),
  });

const fitSize: fc.Arbitrary<FitSize> = fc.oneof(
  fc.constantFrom(...FIT_NAMES),
  fc.record({
    width: fc.oneof(fc.constant('auto' as const), length(1, 500).map(lu), length(1, 300).map(percent)),
    height: fc.oneof(fc.constant('auto' as const), length(1, 500).map(lu), length(1, 300).map(percent)),
  }),
);

const position: fc.Arbitrary<Fit['align']> = fc
  .tuple(length(-20, 120), length(-50, 50), length(-20, 120), length(-50, 50))
  .map(([px, ox, py, oy]) => ({
    kind: 'position',
    x: { percent: px, offset: lu(ox) },
    y: { percent: py, offset: lu(oy) },
  }));

export const singleFit: fc.Arbitrary<Fit> = fc.record({
  size: fitSize,
  repeat: fc.constant({ x: 'no-repeat' as const, y: 'no-repeat' as const }),
  align: fc.oneof(position, fc.constant({ kind: 'focal' as const })),
  clip: fc.boolean(),
  cornerRadius: fc.constant(lu(0)),
});

const repeat = fc.constantFrom('repeat' as const, 'space' as const, 'round' as const);

export const repeatedFit: fc.Arbitrary<Fit> = fc.record({
  size: fitSize,
  repeat: fc.record({ x: repeat, y: repeat }),
  align: position,
  clip: fc.constant(true),
  cornerRadius: fc.constant(lu(0)),
});

export const share = length(0, 1);
