import ipaddr from 'ipaddr.js';
import { LRUCache } from 'lru-cache';
import { Problem } from './problem';
import { shared } from './process-wide';

/** After so many wrong passphrases each further one costs twice as long as the one before, up to a longest pause. */
interface Terms {
  free: number;
  longestS: number;
}
const FIRST_PAUSE_S = 1;
/** Of one address. */
const OF_ADDRESS: Terms = { free: 5, longestS: 15 * 60 };
/** Of all together: who guesses may have many addresses. Whoever has the right one waits no longer than this for them. */
const OF_ALL: Terms = { free: 100, longestS: 15 };
/** Addresses that are remembered, the latest. */
const MOST_ADDRESSES = 10_000;

interface Guesses {
  wrong: number;
  /** until when nothing is tried, ms */
  until: number;
}
interface Counted {
  all: Guesses;
  byAddress: LRUCache<string, Guesses>;
}
const none = (): Guesses => ({ wrong: 0, until: 0 });
const counted = shared('guesses', (): Counted => ({
  all: none(),
  byAddress: new LRUCache({ max: MOST_ADDRESSES }),
}));

/** By what somebody is told apart: of IPv6 the first 64 bits, as one household has all of the rest. Source: RFC 4291, §2.5.4. */
function placeOf(address: string): string {
  if (!ipaddr.isValid(address)) return address;
  const read = ipaddr.process(address);
  return read.kind() === 'ipv6' ? (read as ipaddr.IPv6).parts.slice(0, 4).join(':') : read.toString();
}

function checkPause({ until }: Guesses, now: number): void {
  const seconds = Math.ceil((until - now) / 1000);
  if (seconds > 0)
    throw new Problem(429, `Too many wrong passphrases. The next one is taken in ${seconds} s.`, {
      retryAfter: seconds,
    });
}

function after(state: Guesses, right: boolean, { free, longestS }: Terms, now: number): void {
  state.wrong = right ? 0 : state.wrong + 1;
  const over = state.wrong - free;
  const pause = over < 1 ? 0 : Math.min(longestS, FIRST_PAUSE_S * 2 ** (over - 1));
  state.until = now + pause * 1000;
}

/**
 * Counts wrong passphrases, those of each address by themselves, so that nobody keeps out whoever has the right one; and all together,
 * with pauses that are short.
 * @param address that a request comes from
 * @returns what to do once it is known whether it was right
 * @throws Problem 429 with the seconds to wait
 */
export function tryPassphrase(address: string, now = Date.now()): (right: boolean) => void {
  const { all, byAddress } = counted();
  const place = placeOf(address);
  const own = byAddress.get(place) ?? none();
  checkPause(own, now);
  checkPause(all, now);
  return (right) => {
    after(own, right, OF_ADDRESS, now);
    after(all, right, OF_ALL, now);
    byAddress.set(place, own);
  };
}
