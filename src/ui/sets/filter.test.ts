import { firstOwn } from '@/core/screens/own';
import { SCREENS } from '@/core/testing/scenes';
import { filtered, NO_FILTER, type Filter } from './filter';

const screens = [...SCREENS, { ...firstOwn('own-1'), label: 'Till', weight: 500 }];
const labels = (filter: Partial<Filter>) =>
  filtered(screens, { ...NO_FILTER, ...filter }).map((s) => s.label);

describe('screens that are listed', () => {
  it('are all of them at first', () => expect(labels({})).toHaveLength(screens.length));

  it('are those of a kind, a name, a size or a weight, and whose they are', () => {
    expect(labels({ whose: 'own' })).toEqual(['Till']);
    expect(labels({ whose: 'catalogue' })).toHaveLength(SCREENS.length);
    expect(labels({ text: 'till' })).toEqual(['Till']);
    expect(labels({ text: '390x844', whose: 'own' })).toEqual(['Till']);
    expect(labels({ weight: 400 })).toEqual(['Till']);
    const tablets = filtered(screens, { ...NO_FILTER, kind: 'tablets' });
    expect(new Set(tablets.map((s) => s.kind))).toEqual(new Set(['tablet']));
  });

  it('have a shorter side between both bounds, whichever side it is', () => {
    const found = filtered(screens, { ...NO_FILTER, from: 600, to: 800 });
    expect(found.length).toBeGreaterThan(5);
    for (const { width, height } of found) {
      expect(Math.min(width, height)).toBeGreaterThanOrEqual(600);
      expect(Math.min(width, height)).toBeLessThanOrEqual(800);
    }
  });
});
