import { test as base } from '@playwright/test';
import { addressOf } from './servers';

/** Each worker has a server and a store of its own, so that what one of them changes is nobody else’s surprise. */
export const test = base.extend({
  // The first argument says what a fixture needs, which is nothing.
  baseURL: async ({}, use, info) => use(addressOf(info.parallelIndex)),
});
