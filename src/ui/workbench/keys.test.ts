import { KEYS } from './keys';
import { demo, openDemo } from '../state/testing/opened';

const keyOf = (on: string) => KEYS.find((k) => k.on?.includes(on))!;

describe('the list of keys', () => {
  it('binds none twice, and runs something wherever it binds', () => {
    const bound = KEYS.flatMap((k) => k.on ?? []);
    expect(new Set(bound).size).toBe(bound.length);
    for (const { on, run } of KEYS) expect(on === undefined).toBe(run === undefined);
    expect(new Set(KEYS.map((k) => k.said)).size).toBe(KEYS.length);
  });

  it('does what it says', () => {
    const store = openDemo();
    let helped = 0;
    const press = (on: string) => keyOf(on).run!({ store, help: () => helped++ });
    press('d');
    expect(store.getState().view.appearance).toBe('dark');
    press('d');
    expect(store.getState().view.appearance).toBe('light');
    press('g');
    expect(store.getState().view.guides).toBe(true);
    press('g');
    expect(store.getState().view.guides).toBeUndefined();
    press('?');
    expect(helped).toBe(1);
    // Nothing was done yet that could be taken back.
    press('$mod+z');
    press('$mod+y');
    expect(store.getState().documents).toBe(demo);
  });
});
