import { test as base, type BrowserContext } from '@playwright/test';
import { HINTS, HINTS_COOKIE } from '../src/ui/hints/hints';
import { addressOf } from './servers';

/** Hints of the first look would lie over what is tested; the test of a newcomer has them. */
export const closeHints = (context: BrowserContext, url: string): Promise<void> =>
  context.addCookies([{ name: HINTS_COOKIE, value: String(HINTS.length), url }]);

/** Each worker has a server and a store of its own, so that what one of them changes is nobody else’s surprise. */
export const test = base.extend({
  context: async ({ context, baseURL }, use) => {
    await closeHints(context, baseURL!);
    await use(context);
  },
  // The first argument says what a fixture needs, which is nothing.
  baseURL: async ({}, use, info) => use(addressOf(info.parallelIndex)),
});
