import { tryPassphrase } from './guesses';

const SECOND = 1000;

describe('guesses at the passphrase', () => {
  let now = 1_000_000;
  const guess = (right = false, from = '192.0.2.1') => tryPassphrase(from, now)(right);
  const pause = (from = '192.0.2.1') => {
    try {
      tryPassphrase(from, now);
      return 0;
    } catch (error) {
      return (error as { more: { retryAfter: number } }).more.retryAfter;
    }
  };

  it('are free five times; then each costs twice the time', () => {
    for (let i = 0; i < 5; i++) {
      guess();
      expect(pause()).toBe(0);
    }
    for (const seconds of [1, 2, 4, 8, 16]) {
      guess();
      expect(pause()).toBe(seconds);
      expect(() => tryPassphrase('192.0.2.1', now)).toThrow(`The next one is taken in ${seconds} s`);
      now += seconds * SECOND;
    }
    for (let i = 0; i < 20; i++) {
      guess();
      now += pause() * SECOND;
    }
    guess();
    expect(pause()).toBe(15 * 60);
  });

  it('of one address keep nobody else out', () => {
    expect(pause()).toBeGreaterThan(0);
    expect(pause('192.0.2.2')).toBe(0);
    expect(() => guess(true, '192.0.2.2')).not.toThrow();
  });

  it('are counted for all of a household’s addresses together', () => {
    for (let i = 0; i < 6; i++) guess(false, `2001:db8:1:2::${i}`);
    expect(pause('2001:db8:1:2:ffff::1')).toBe(1);
    expect(pause('2001:db8:1:3::1')).toBe(0);
    expect(pause('::ffff:192.0.2.1')).toBe(pause('192.0.2.1'));
  });

  it('from everywhere cost all of them a short pause, and no longer one', () => {
    for (let i = 0; i < 300; i++) {
      now += pause('198.51.100.1') * SECOND;
      guess(false, `10.0.${i >> 8}.${i & 255}`);
    }
    expect(pause('198.51.100.1')).toBe(15);
  });

  it('begin anew after the right one', () => {
    now += 15 * 60 * SECOND;
    guess(true);
    guess();
    expect(pause()).toBe(0);
  });
});
