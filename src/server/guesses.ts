import { Problem } from './problem';

/** So many wrong passphrases are free; after each further one nobody is let try for twice as long as before. */
const FREE = 5;
const FIRST_PAUSE_S = 1;
const LONGEST_PAUSE_S = 15 * 60;

interface Guesses {
  wrong: number;
  /** until when nothing is tried, ms */
  until: number;
}
const shared = globalThis as unknown as { couleeGuesses?: Guesses };
const guesses = (): Guesses => (shared.couleeGuesses ??= { wrong: 0, until: 0 });

/**
 * Counts wrong passphrases for the whole server, wherever they come from: who guesses may have many addresses.
 * @returns what to do once it is known whether it was right
 * @throws Problem 429 with the seconds to wait
 */
export function tryPassphrase(now = Date.now()): (right: boolean) => void {
  const state = guesses();
  const seconds = Math.ceil((state.until - now) / 1000);
  if (seconds > 0)
    throw new Problem(429, `Too many wrong passphrases. The next one is taken in ${seconds} s.`, {
      retryAfter: seconds,
    });
  return (right) => {
    state.wrong = right ? 0 : state.wrong + 1;
    const over = state.wrong - FREE;
    const pause = over < 1 ? 0 : Math.min(LONGEST_PAUSE_S, FIRST_PAUSE_S * 2 ** (over - 1));
    state.until = now + pause * 1000;
  };
}
