import { lossAtY, ratioAt, xOf, yOf } from './scale';

const scale = { width: 600, height: 96, low: 0.4, high: 2.5, most: 0.8 };

it('goes there and back', () => {
  for (const ratio of [0.4, 0.7, 1, 2.5]) expect(ratioAt(scale, xOf(scale, ratio))).toBeCloseTo(ratio, 9);
  for (const loss of [0, 0.3, 0.8]) expect(lossAtY(scale, yOf(scale, loss))).toBeCloseTo(loss, 9);
  expect(xOf(scale, 1)).toBeCloseTo(300, 9);
  expect(yOf(scale, 5)).toBe(yOf(scale, 0.8));
  expect(lossAtY(scale, 1000)).toBe(0);
});
