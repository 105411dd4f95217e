import { HINTS, readHints } from './hints';

it.each([
  [undefined, 0],
  ['3', 3],
  ['0', 0],
  ['99', HINTS.length],
  ['-1', 0],
  ['two', 0],
  ['1.5', 0],
])('of a cookie that says %p, %p hints are closed', (value, closed) => {
  expect(readHints(value)).toBe(closed);
});
