import { isMove, walk, type CellBox } from './walk';

/** Three in the first line, two wider ones in the second, all of a line ending on its foot. */
const cells: CellBox[] = [
  { id: 'a', left: 0, top: 20, width: 40, bottom: 100 },
  { id: 'b', left: 50, top: 0, width: 40, bottom: 100 },
  { id: 'c', left: 100, top: 40, width: 40, bottom: 100 },
  { id: 'd', left: 0, top: 120, width: 70, bottom: 200 },
  { id: 'e', left: 80, top: 150, width: 70, bottom: 200.5 },
];

describe('walking the field', () => {
  it.each([
    ['a', 'ArrowRight', 'b'],
    ['c', 'ArrowRight', 'd'],
    ['e', 'ArrowRight', 'e'],
    ['d', 'ArrowLeft', 'c'],
    ['a', 'ArrowLeft', 'a'],
    ['a', 'ArrowDown', 'd'],
    ['c', 'ArrowDown', 'e'],
    ['e', 'ArrowUp', 'c'],
    ['b', 'ArrowUp', 'b'],
    ['d', 'ArrowDown', 'd'],
    ['d', 'Home', 'a'],
    ['a', 'End', 'e'],
  ] as const)('from %s %s leads to %s', (from, move, to) => expect(walk(cells, from, move)).toBe(to));

  it('starts at the first cell when it was nowhere, and goes nowhere without cells', () => {
    expect(walk(cells, undefined, 'ArrowDown')).toBe('a');
    expect(walk([], 'a', 'ArrowDown')).toBeUndefined();
  });

  it('knows its keys', () => {
    expect(isMove('Home')).toBe(true);
    expect(isMove('Tab')).toBe(false);
  });
});
