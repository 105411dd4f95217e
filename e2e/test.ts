import { test as base } from '@playwright/test';
import { HINTS, HINTS_COOKIE } from '../src/ui/hints/hints';
import { addressOf } from './servers';

/** Each worker has a server and a store of its own, so that what one of them changes is nobody else’s surprise. */
/** Hints of the first look would lie over what is tested; the test of a newcomer has them. */
export const test = base.extend({
  context: async ({ context, baseURL }, use) => {
    await context.addCookies([{ name: HINTS_COOKIE, value: String(HINTS.length), url: baseURL! }]);
    await use(context);
  },
  // The first argument says what a fixture needs, which is nothing.
  baseURL: async ({}, use, info) => use(addressOf(info.parallelIndex)),
});
