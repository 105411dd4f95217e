import { sayLength, sayNumber, sayRatio, sayShare, saySize, sayTimes } from './numbers';

it.each([
  [sayNumber(411.42857), '411.4'],
  [sayNumber(-0.04), '0'],
  [sayNumber(-12), '−12'],
  [sayRatio(1.41999), '1.42'],
  [sayShare(0.65404), '65.4 %'],
  [sayShare(0.000123), '0.0123 %'],
  [sayShare(-8e-17), '0 %'],
  [sayLength(-21), '−21 lu'],
  [sayTimes(2), '2 ×'],
  [saySize({ width: 1179, height: 2556 }), '1179 × 2556'],
])('says %s', (said, expected) => expect(said).toBe(expected));
