import { setTimeout as sleep } from 'node:timers/promises';

/** So many wrong addresses are answered at once; each further one after twice as long as the one before. */
const FREE = 5;
const FIRST_PAUSE_MS = 100;
const LONGEST_PAUSE_MS = 5000;
/** Wrong addresses that wait at a time; of more nothing is heard at all. */
const MOST_WAITING = 32;

/**
 * Slows down whoever tries addresses, from wherever: who guesses may have many.
 * @param wait ms until it is answered
 */
export function createGuessed(wait: (ms: number) => Promise<unknown> = sleep) {
  let wrong = 0;
  let waiting = 0;
  return {
    /** Waits as long as one more wrong address has to. @returns whether it is answered */
    async wait(): Promise<boolean> {
      const over = ++wrong - FREE;
      if (over < 1) return true;
      if (waiting >= MOST_WAITING) return false;
      waiting++;
      try {
        await wait(Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** (over - 1)));
      } finally {
        waiting--;
      }
      return true;
    },
  };
}
