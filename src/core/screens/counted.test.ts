import { casesOf } from './cases';
import { SCREENS } from '../testing/scenes';
import { countedCases, isCounted } from './counted';
import { turn } from './turn';

describe('the cases that count', () => {
  const cases = casesOf(SCREENS, ['light']);
  const ratioOf = (c: (typeof cases)[number]) => {
    const { width, height } = turn(c.screen, c.rotation).size;
    return width / height;
  };

  it('are all where any ratio is allowed', () => {
    expect(countedCases(cases)).toEqual(cases);
  });

  it('are those between the bounds as they are turned, both bounds included', () => {
    const upright = countedCases(cases, { low: 0.1, high: 0.999 });
    expect(upright.length).toBeGreaterThan(0);
    expect(upright).toEqual(cases.filter((c) => ratioOf(c) < 0.999));
    const some = cases[7]!;
    const exactly = Math.round(ratioOf(some) * 1000) / 1000;
    expect(isCounted(some, { low: exactly, high: exactly + 1 })).toBe(true);
    expect(isCounted(some, { low: exactly + 0.01, high: exactly + 1 })).toBe(false);
    expect(isCounted(some, { low: 0.01, high: exactly - 0.01 })).toBe(false);
  });
});
