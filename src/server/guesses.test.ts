import { tryPassphrase } from './guesses';

const SECOND = 1000;

describe('guesses at the passphrase', () => {
  let now = 1_000_000;
  const guess = (right = false) => tryPassphrase(now)(right);
  const pause = () => {
    try {
      tryPassphrase(now);
      return 0;
    } catch (error) {
      return (error as { more: { retryAfter: number } }).more.retryAfter;
    }
  };

  it('are free five times; then each costs twice the time, for everybody', () => {
    for (let i = 0; i < 5; i++) {
      guess();
      expect(pause()).toBe(0);
    }
    for (const seconds of [1, 2, 4, 8, 16]) {
      guess();
      expect(pause()).toBe(seconds);
      expect(() => tryPassphrase(now)).toThrow(`The next one is taken in ${seconds} s`);
      now += seconds * SECOND;
    }
    for (let i = 0; i < 20; i++) {
      guess();
      now += pause() * SECOND;
    }
    guess();
    expect(pause()).toBe(15 * 60);
  });

  it('begin anew after the right one', () => {
    now += 15 * 60 * SECOND;
    guess(true);
    guess();
    expect(pause()).toBe(0);
  });
});
